<?php

declare(strict_types=1);

namespace App\Checks;

/** One row as somebody counted it. */
final readonly class CountedRow
{
    /**
     * @param  string  $condition  with the day of opening, as PieceCondition writes it
     * @param  bool  $newLot  the checker says that a lot which is not on record is printed so on the pack
     */
    public function __construct(
        public string $pocketId,
        public string $itemCode,
        public ?string $lot,
        public ?string $expires,
        public int $quantity,
        public string $condition,
        public bool $newLot = false,
    ) {
    }

    /** The pack says so, and nobody has to say it again. */
    public function asNewLot(): self
    {
        return new self($this->pocketId, $this->itemCode, $this->lot, $this->expires, $this->quantity, $this->condition, true);
    }
}
