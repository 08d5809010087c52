<?php

declare(strict_types=1);

namespace App\Stock;

/** Pieces that were put into a pocket, from the store. */
final readonly class PutIn
{
    /** @param  bool|null  $isStaged  whether what is done to the item before was done; null: nobody said */
    public function __construct(
        public string $pocketId,
        public string $lotId,
        public int $quantity,
        public ?bool $isStaged = null,
    ) {
    }
}
