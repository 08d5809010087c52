<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Lists\Line;

/** Something found, how grave it is, and the line, row or item that it concerns; where it concerns none of them, the kit. */
final readonly class Finding
{
    /**
     * @param  int  $empty  of how many required lines nothing is there, where that is what was found
     * @param  int  $required  of how many there are
     */
    private function __construct(
        public FindingKind $kind,
        public Severity $severity,
        public ?Line $line = null,
        public ?Item $item = null,
        public ?int $index = null,
        public ?Row $row = null,
        public ?string $part = null,
        public int $empty = 0,
        public int $required = 0,
    ) {
    }

    public static function ofLine(FindingKind $kind, Severity $severity, Line $line): self
    {
        return new self($kind, $severity, line: $line);
    }

    /** Where it was found, as it is said after it: " in …"; nothing where it is of the kit as a whole. */
    public function inPart(): string
    {
        return $this->part === null ? '' : " in {$this->part}";
    }

    /** Returns the same finding with its row at another place. */
    public function at(int $index): self
    {
        return new self($this->kind, $this->severity, $this->line, $this->item, $index, $this->row, $this->part, $this->empty, $this->required);
    }

    /** Found of a part of the kit by itself. */
    public function of(string $part): self
    {
        return new self($this->kind, $this->severity, $this->line, $this->item, $this->index, $this->row, $part, $this->empty, $this->required);
    }

    /** @param  int  $index  the row's place in the contents */
    public static function ofRow(FindingKind $kind, Severity $severity, int $index, Row $row): self
    {
        return new self($kind, $severity, item: $row->item, index: $index, row: $row);
    }

    public static function ofItem(FindingKind $kind, Severity $severity, Item $item): self
    {
        return new self($kind, $severity, item: $item);
    }

    public static function ofKit(FindingKind $kind, Severity $severity): self
    {
        return new self($kind, $severity);
    }

    /** Of so many required lines nothing is there. */
    public static function ofLines(int $empty, int $required): self
    {
        return new self(FindingKind::MostlyMissing, Severity::Stop, empty: $empty, required: $required);
    }
}
