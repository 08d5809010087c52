<?php

declare(strict_types=1);

namespace App\Stock;

/** Pieces that were put into a pocket, from the store. */
final readonly class PutIn
{
    public function __construct(
        public string $pocketId,
        public string $lotId,
        public int $quantity,
    ) {
    }
}
