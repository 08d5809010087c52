<?php

declare(strict_types=1);

namespace App\Stock;

use App\Checks\CountedRow;

/** Pieces of a lot on a shelf, as somebody received, counted, disposed of or moved them. */
final readonly class ShelfRow
{
    /**
     * @param  int|null  $packs  in which they came
     * @param  int|null  $price  of one pack, in minor units
     * @param  bool  $isPriceChecked  though it is far below what is usual, the goods are what they say they are
     */
    public function __construct(
        public CountedRow $row,
        public ?int $packs = null,
        public ?int $price = null,
        public bool $isPriceChecked = false,
    ) {
    }

    /** What all of it cost, in minor units: of one pack where it is not said how many. */
    public function cost(): int
    {
        return (int) $this->price * ($this->packs ?? 1);
    }
}
