<?php

declare(strict_types=1);

namespace App\Stock;

use Sarcina\Core\Pick\StoredLot;

/** A lot in a store, and its id. */
final readonly class OnShelf
{
    public function __construct(
        public string $lotId,
        public StoredLot $lot,
    ) {
    }
}
