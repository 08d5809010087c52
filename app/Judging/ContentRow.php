<?php

declare(strict_types=1);

namespace App\Judging;

/** Pieces of one lot in one condition in one pocket: as recorded, or as somebody counts them. */
final readonly class ContentRow
{
    /** @param  string|null  $lotId  null where the lot is not on record yet */
    public function __construct(
        public string $pocketId,
        public string $itemCode,
        public ?string $lotId,
        public ?string $lot,
        public ?string $expires,
        public int $quantity,
        public string $condition,
    ) {
    }

    /** The same for rows of one lot in one condition in one pocket. */
    public function key(): string
    {
        return "{$this->pocketId} {$this->lotId} {$this->condition}";
    }

    public function of(int $quantity): self
    {
        return new self($this->pocketId, $this->itemCode, $this->lotId, $this->lot, $this->expires, $quantity, $this->condition);
    }
}
