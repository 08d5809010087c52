<?php

declare(strict_types=1);

namespace App\Stock;

use Sarcina\Core\Check\FindingKind;

/** Pieces of a lot to take out of a pocket, why, and whether they return to a store. */
final readonly class PlannedOut
{
    /**
     * @param  string|null  $expires  as printed
     * @param  string  $condition  with the day of opening, as PieceCondition writes it
     */
    public function __construct(
        public string $pocketId,
        public string $item,
        public string $lotId,
        public ?string $lot,
        public ?string $expires,
        public string $condition,
        public int $quantity,
        public FindingKind $because,
        public bool $toStore,
    ) {
    }
}
