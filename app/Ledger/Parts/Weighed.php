<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** A kit as it was weighed, beside what its items weigh by the catalogue, in grams; why the two are apart, where that was asked. */
final readonly class Weighed implements PartRow
{
    public function __construct(
        public string $kitId,
        public int $computed,
        public int $weighed,
        public ?string $because,
    ) {
    }

    public function part(): Part
    {
        return Part::Weighings;
    }

    public function columns(): array
    {
        return ['kit_id' => $this->kitId, 'computed_g' => $this->computed, 'weighed_g' => $this->weighed, 'because' => $this->because];
    }
}
