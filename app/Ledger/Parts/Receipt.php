<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** What came with goods of one lot: packs, the price of one in minor units, the supplier, the number of the delivery note. */
final readonly class Receipt implements PartRow
{
    public function __construct(
        public string $lotId,
        public ?int $packs,
        public ?int $price,
        public ?string $currency,
        public ?string $supplier,
        public ?string $deliveryNote,
    ) {
    }

    public function part(): Part
    {
        return Part::Receipts;
    }

    public function columns(): array
    {
        return [
            'lot_id' => $this->lotId,
            'packs' => $this->packs,
            'price' => $this->price,
            'currency' => $this->currency,
            'supplier' => $this->supplier,
            'delivery_note' => $this->deliveryNote,
        ];
    }
}
