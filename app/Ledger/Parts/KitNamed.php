<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** A kit that an operation concerns, and how it read on that day. */
final readonly class KitNamed implements PartRow
{
    public function __construct(
        public string $kitId,
        public string $code,
        public string $name,
        public string $place,
    ) {
    }

    public function part(): Part
    {
        return Part::Kits;
    }

    public function columns(): array
    {
        return [
            'kit_id' => $this->kitId,
            'code' => $this->code,
            'name' => $this->name,
            'place' => $this->place,
        ];
    }
}
