<?php

declare(strict_types=1);

namespace App\Ledger;

/** A movement to be written: so many pieces of a lot from one place to another. No place means outside. */
final readonly class Entry
{
    public function __construct(
        public string $lotId,
        public int $quantity,
        public ?Spot $from,
        public ?Spot $to,
        public string $reason,
    ) {
    }
}
