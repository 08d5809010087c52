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
     */
    public function __construct(
        public CountedRow $row,
        public ?int $packs = null,
        public ?int $price = null,
    ) {
    }
}
