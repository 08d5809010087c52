<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** How far a line was met at a check. */
final readonly class CheckLine implements PartRow
{
    public function __construct(
        public string $code,
        public string $need,
        public ?string $pocket,
        public string $rank,
        public string $required,
        public string $effective,
        public ?int $reserve,
        public string $short,
    ) {
    }

    public function part(): Part
    {
        return Part::Lines;
    }

    public function columns(): array
    {
        return [
            'code' => $this->code,
            'need' => $this->need,
            'pocket' => $this->pocket,
            'rank' => $this->rank,
            'required' => $this->required,
            'effective' => $this->effective,
            'reserve' => $this->reserve,
            'short' => $this->short,
        ];
    }
}
