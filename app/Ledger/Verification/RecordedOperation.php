<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Ledger\OperationKind;
use App\Ledger\Part;

/** An operation as it stands in the database, with all that belongs to it. */
final readonly class RecordedOperation
{
    /**
     * @param  array<string, mixed>  $row
     * @param  array<string, list<array<string, mixed>>>  $parts  rows by table
     */
    public function __construct(
        public int $number,
        public array $row,
        public array $parts,
    ) {
    }

    /** @return list<array<string, mixed>> */
    public function rows(Part $part): array
    {
        return $this->parts[$part->value] ?? [];
    }

    public function kind(): ?OperationKind
    {
        return OperationKind::tryFrom($this->text('kind'));
    }

    public function text(string $column): string
    {
        $value = $this->row[$column] ?? null;

        return is_scalar($value) ? (string) $value : '';
    }
}
