<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\Rank;

/**
 * What may be left out of a kit that is too heavy or too full: optional lines, those first that free most. Never what is critical or
 * required, never one half of a pair, never a second pair of gloves, and nothing that another line needs beside it.
 */
final readonly class LeaveOut
{
    /** @param  int  $mass  grams that it frees */
    private function __construct(
        public PackedLine $line,
        public int $pieces,
        public int $mass,
        public ?int $bulk,
    ) {
    }

    /**
     * @param  list<PackedLine>  $lines
     * @return list<self> what frees most first
     */
    public static function ranked(array $lines): array
    {
        $offers = [];
        foreach ($lines as $line) {
            if ($line->item === null || $line->inAll() === 0 || $line->rank !== Rank::Optional || self::isKept($line, $lines)) {
                continue;
            }
            $pieces = $line->inAll();
            $offers[] = new self(
                $line, $pieces, $pieces * $line->item->mass, $line->handling->bulk === null ? null : $pieces * $line->handling->bulk,
            );
        }
        usort($offers, static fn (self $one, self $other): int => [$other->mass, $other->bulk ?? 0, $one->line->code]
            <=> [$one->mass, $one->bulk ?? 0, $other->line->code]);

        return $offers;
    }

    /** @param  list<PackedLine>  $lines */
    private static function isKept(PackedLine $line, array $lines): bool
    {
        $item = $line->item;
        foreach (['gloves', 'chest-seal'] as $class) {
            if ($item !== null && (new ItemClass($class))->takes($item->class)) {
                return true;
            }
        }
        foreach ($lines as $other) {
            foreach ($other->code === $line->code ? [] : $other->item->needs ?? [] as $need) {
                if (in_array($item?->code, $need->anyOf, true)) {
                    return true;
                }
            }
        }

        return false;
    }
}
