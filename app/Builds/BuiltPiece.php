<?php

declare(strict_types=1);

namespace App\Builds;

/** Pieces of one lot as they came out of a pocket: how many were on record and found, where they went back, and what became of the rest. */
final readonly class BuiltPiece
{
    /**
     * @param  string  $condition  with the day of opening, as PieceCondition writes it
     * @param  array<string, int>  $back  pieces by pocket
     */
    public function __construct(
        public string $pocketId,
        public string $lotId,
        public string $condition,
        public int $recorded,
        public int $found,
        public array $back,
        public int $toStore,
        public int $discarded,
    ) {
    }

    /** The same for pieces of one lot in one condition in one pocket. */
    public function key(): string
    {
        return "{$this->pocketId} {$this->lotId} {$this->condition}";
    }
}
