<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** A store that an operation concerns, and how it read on that day. */
final readonly class StoreNamed implements PartRow
{
    public function __construct(
        public string $storeId,
        public string $name,
    ) {
    }

    public function part(): Part
    {
        return Part::Stores;
    }

    public function columns(): array
    {
        return [
            'store_id' => $this->storeId,
            'name' => $this->name,
        ];
    }
}
