<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

/** Pieces that are kept as being somewhere, where the record says otherwise. */
final readonly class HoldingDifference
{
    public function __construct(
        public string $where,
        public string $lotId,
        public string $condition,
        public int $kept,
        public int $recorded,
    ) {
    }
}
