<?php

declare(strict_types=1);

namespace App\Ledger\Kinds;

/** The ways that pieces go in an operation that arrived after a later count of its kit: past the kit, and unaccounted for. */
final class Late
{
    private const ENDS = [
        'store > unaccounted', 'kit > unaccounted', 'unaccounted > store', 'unaccounted > out', 'unaccounted > kit', 'unaccounted > unaccounted',
    ];

    /** @return list<string> for these reasons */
    public static function ways(string ...$reasons): array
    {
        $ways = ['out > unaccounted, counted'];
        foreach ($reasons as $reason) {
            foreach (self::ENDS as $way) {
                $ways[] = "{$way}, {$reason}";
            }
        }

        return $ways;
    }
}
