<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Measure\Quantity;

/** A measure asked for in all, such as a length of 2.5 yd. */
final readonly class Total
{
    /** More of one item is not asked for: it keeps sums within an integer. */
    public const MOST_PIECES = 1_000_000_000;

    public function __construct(
        public string $measure,
        public Quantity $wanted,
    ) {
    }

    /** What one piece of the item adds, or null where it has no such measure above 0. */
    public function pieceOf(Item $item): ?Quantity
    {
        $piece = $item->size[$this->measure] ?? null;

        return $piece !== null && $piece->dimension() === $this->wanted->dimension() && $piece->isPositive() ? $piece : null;
    }
}
