<?php

declare(strict_types=1);

namespace App\Uses;

/** Pieces of one lot that were taken out of a pocket, and why; or opened, with some left. */
final readonly class TakenPiece
{
    /**
     * @param  string  $condition  with the day of opening, as PieceCondition writes it
     * @param  bool  $isOpened  it was opened, and what is left lies there still
     * @param  string|null  $toKitId  the kit that they were moved to
     */
    public function __construct(
        public string $pocketId,
        public string $lotId,
        public string $condition,
        public int $quantity,
        public WhyTaken $why,
        public bool $isOpened = false,
        public ?string $toKitId = null,
    ) {
    }
}
