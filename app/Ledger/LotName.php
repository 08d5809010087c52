<?php

declare(strict_types=1);

namespace App\Ledger;

/** How a lot reads: its item, its number and its date as printed. */
final readonly class LotName
{
    public function __construct(
        public string $itemCode,
        public string $itemName,
        public ?string $number,
        public ?string $expires,
    ) {
    }
}
