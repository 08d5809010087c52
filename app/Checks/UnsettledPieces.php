<?php

declare(strict_types=1);

namespace App\Checks;

/** Pieces that are unaccounted for, and the pocket that they should be in. Below 0: pieces that left it. */
final readonly class UnsettledPieces
{
    public function __construct(
        public string $kitId,
        public string $pocketId,
        public string $lotId,
        public string $condition,
        public int $quantity,
    ) {
    }
}
