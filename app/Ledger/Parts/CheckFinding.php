<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** What a check found, as facts. */
final readonly class CheckFinding implements PartRow
{
    public function __construct(
        public string $kind,
        public string $severity,
        public ?string $line,
        public ?string $subject,
        public ?string $itemCode,
        public ?string $lotNumber,
        public ?string $expires,
        public ?string $goodUntil,
        public ?string $pocket,
        public ?int $quantity,
        public ?string $detail,
    ) {
    }

    public function part(): Part
    {
        return Part::Findings;
    }

    public function columns(): array
    {
        return [
            'kind' => $this->kind,
            'severity' => $this->severity,
            'line' => $this->line,
            'subject' => $this->subject,
            'item_code' => $this->itemCode,
            'lot_number' => $this->lotNumber,
            'expires' => $this->expires,
            'good_until' => $this->goodUntil,
            'pocket' => $this->pocket,
            'quantity' => $this->quantity,
            'detail' => $this->detail,
        ];
    }
}
