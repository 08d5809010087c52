<?php

declare(strict_types=1);

namespace App\Catalogue;

use Sarcina\Core\Buying\ItemToBuy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;

/** Finds items of the whole catalogue that fit a line which names a class. */
final class SuitableItem
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
        return ItemToBuy::for($line, $this->items(), $isUsable, $this->prices->packs(...))?->code;
    }

    /** @return list<Item> */
    private function items(): array
    {
        return $this->items ??= $this->catalogue->all();
    }
}
