<?php

declare(strict_types=1);

namespace Sarcina\Core\Buying;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;

/** Which item to buy for a line that names a class: the entry that stands first, then the cheapest by the piece, the lightest, by code. */
final class ItemToBuy
{
    /**
     * @param  iterable<Item>  $items
     * @param  callable(Item): bool  $isUsable
     * @param  callable(string): list<Pack>  $packsOf  by item code
     */
    public static function for(Line $line, iterable $items, callable $isUsable, callable $packsOf): ?Item
    {
        $best = null;
        $bestEntry = null;
        foreach ($items as $item) {
            $entry = $line->entryFor($item);
            if ($entry === null || $item->supersededBy !== null || ! $isUsable($item)) {
                continue;
            }
            if (
                $best === null ||
                [$entry, self::cheaper($packsOf($item->code), $packsOf($best->code)), $item->mass, $item->code] < [
                    $bestEntry,
                    0,
                    $best->mass,
                    $best->code,
                ]
            ) {
                [$best, $bestEntry] = [$item, $entry];
            }
        }

        return $best;
    }

    /**
     * Compares the cheapest piece of each, exactly; what has no price is dearer than what has one.
     *
     * @param  list<Pack>  $packs
     * @param  list<Pack>  $others
     */
    private static function cheaper(array $packs, array $others): int
    {
        [$one, $other] = [Packs::cheapestPiece($packs), Packs::cheapestPiece($others)];

        return match (true) {
            $one === null || $other === null => ($one === null ? 1 : 0) <=> ($other === null ? 1 : 0),
            default => $one->compareTo($other),
        };
    }
}
