<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Lists\Line;

/** Something found, how grave it is, and the line, row or item that it concerns. */
final readonly class Finding
{
    /** @param  array<string, string|int|null>  $concerns */
    private function __construct(
        public FindingKind $kind,
        public Severity $severity,
        public array $concerns,
    ) {
    }

    public static function ofLine(FindingKind $kind, Severity $severity, Line $line): self
    {
        return new self($kind, $severity, ['line' => $line->id]);
    }

    public static function ofRow(FindingKind $kind, Severity $severity, int $index, Row $row): self
    {
        return new self($kind, $severity, [
            'row' => $index,
            'item' => $row->item->code,
            'pocket' => $row->pocket,
            'lot' => $row->lot,
        ]);
    }

    public static function ofItem(FindingKind $kind, Severity $severity, Item $item): self
    {
        return new self($kind, $severity, ['item' => $item->code]);
    }

    public static function ofKit(FindingKind $kind, Severity $severity): self
    {
        return new self($kind, $severity, []);
    }

    /** @return array<string, string|int|null> as in `sarcina.verdict/1` */
    public function document(): array
    {
        return ['kind' => $this->kind->value, 'severity' => $this->severity->value, ...$this->concerns];
    }
}
