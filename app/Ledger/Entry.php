<?php

declare(strict_types=1);

namespace App\Ledger;

/** A movement to be written: so many pieces of a lot from one place to another. No place means outside. */
final readonly class Entry
{
    public string $lotId;

    public function __construct(
        string $lotId,
        public int $quantity,
        public ?Spot $from,
        public ?Spot $to,
        public string $reason,
    ) {
        // Ids are kept in small letters; whoever sends capitals means the same lot.
        $this->lotId = strtolower($lotId);
    }
}
