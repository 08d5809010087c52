<?php

declare(strict_types=1);

namespace App\Ledger;

/** The way that pieces went, as the kinds of operation name it: "store > kit, restocked". */
final class Way
{
    /** @param  array<string, mixed>  $movement  a row of `movements` */
    public static function of(array $movement): string
    {
        return self::end($movement, 'from').' > '.self::end($movement, 'to').', '.(is_string($movement['reason'] ?? null) ? $movement['reason'] : '');
    }

    /** @param  array<string, mixed>  $movement */
    private static function end(array $movement, string $end): string
    {
        return match (true) {
            isset($movement["{$end}_kit_id"]) => isset($movement["{$end}_pocket_id"]) ? 'kit' : 'unaccounted',
            isset($movement["{$end}_store_id"]) => 'store',
            default => 'out',
        };
    }
}
