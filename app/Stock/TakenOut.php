<?php

declare(strict_types=1);

namespace App\Stock;

/** Pieces that were taken out of a pocket, and where they went: back to the store, or disposed of. */
final readonly class TakenOut
{
    /** @param  string  $condition  with the day of opening, as PieceCondition writes it */
    public function __construct(
        public string $pocketId,
        public string $lotId,
        public string $condition,
        public int $quantity,
        public bool $toStore,
    ) {
    }
}
