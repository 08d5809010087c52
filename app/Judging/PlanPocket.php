<?php

declare(strict_types=1);

namespace App\Judging;

/** A pocket of a design: on which leaf, and where on it, counted from 1. */
final readonly class PlanPocket
{
    public function __construct(
        public string $id,
        public string $name,
        public string $leaf,
        public int $row,
        public int $column,
        public int $rowSpan,
        public int $columnSpan,
    ) {
    }

    /** The same as a pocket of a module in another kit. */
    public function on(string $leaf, string $before): self
    {
        return new self($before.$this->id, $this->name, $leaf, $this->row, $this->column, $this->rowSpan, $this->columnSpan);
    }
}
