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

    /** @param  object  $row  of one of the tables that hold findings */
    public static function fromRow(object $row): self
    {
        /**
         * @var object{
         *     kind: string, severity: string, line: string|null, subject: string|null, item_code: string|null,
         *     lot_number: string|null, expires: string|null, good_until: string|null, pocket: string|null,
         *     quantity: int|null, detail: string|null,
         * } $row
         */
        return new self(
            $row->kind, $row->severity, $row->line, $row->subject, $row->item_code, $row->lot_number, $row->expires, $row->good_until,
            $row->pocket, $row->quantity, $row->detail,
        );
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
