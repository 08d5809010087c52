<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;

/** Finds items of the whole catalogue that fit a line which names a class. */
final class Fitting
{
    /** @var list<Item>|null */
    private ?array $items = null;

    public function __construct(private readonly Catalogue $catalogue, private readonly Prices $prices)
    {
    }

    /**
     * The best item for the line: first choice first, then the cheapest per piece, then the lightest, then by code.
     *
     * @param  callable(Item): bool  $isUsable
     */
    public function best(Line $line, callable $isUsable): ?string
    {
        $best = null;
        foreach ($this->items() as $item) {
            foreach ($line->accepts as $preference => $accepted) {
                if ($accepted->matches($item)) {
                    if ($item->supersededBy === null && $isUsable($item)) {
                        $rank = [$preference, $this->each($item), $item->mass, $item->code];
                        $best = $best === null || $rank < $best ? $rank : $best;
                    }
                    break;
                }
            }
        }

        return $best[3] ?? null;
    }

    private function each(Item $item): float
    {
        $packs = $this->prices->packs($item->code);

        // Only for choosing between items: sums are exact (Prices).
        return $packs === [] ? INF : min(array_map(static fn ($pack): float => $pack->price / $pack->pieces, $packs));
    }

    /** @return list<Item> */
    private function items(): array
    {
        return $this->items ??= $this->catalogue->all();
    }
}
