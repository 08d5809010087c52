<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** What a check was held to, and what followed from it, on its day. */
final readonly class CheckOutcome implements PartRow
{
    /** @param  string  $standing  stands, superseded, disputed or history: whether it answers for the kit */
    public function __construct(
        public string $kitId,
        public string $standing,
        public string $design,
        public string $listTitle,
        public string $listEdition,
        public bool $listConfirmed,
        public string $expiry,
        public string $scope,
        public string $nextCheck,
        public int $marginDays,
        public string $verdict,
        public int $massG,
        public ?int $maxMassG,
        public ?string $sealFound,
    ) {
    }

    public function part(): Part
    {
        return Part::Check;
    }

    public function columns(): array
    {
        return [
            'kit_id' => $this->kitId,
            'standing' => $this->standing,
            'design' => $this->design,
            'list_title' => $this->listTitle,
            'list_edition' => $this->listEdition,
            'list_confirmed' => $this->listConfirmed,
            'expiry' => $this->expiry,
            'scope' => $this->scope,
            'next_check' => $this->nextCheck,
            'margin_days' => $this->marginDays,
            'verdict' => $this->verdict,
            'mass_g' => $this->massG,
            'max_mass_g' => $this->maxMassG,
            'seal_found' => $this->sealFound,
        ];
    }
}
