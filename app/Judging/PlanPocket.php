<?php

declare(strict_types=1);

namespace App\Judging;

/** A pocket of a design: on which leaf, and where on it, counted from 1. */
final readonly class PlanPocket
{
    /**
     * @param  list<string>  $properties
     * @param  list<string>  $lookedFor  codes of lines that people search here and that live elsewhere
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $leaf,
        public int $row,
        public int $column,
        public int $rowSpan,
        public int $columnSpan,
        public ?string $caution = null,
        public array $properties = [],
        public array $lookedFor = [],
    ) {
    }

    /** The same as a pocket of a module in another kit. */
    public function on(string $leaf, string $before): self
    {
        return new self($before.$this->id, $this->name, $leaf, $this->row, $this->column, $this->rowSpan, $this->columnSpan, $this->caution,
            $this->properties, $this->lookedFor);
    }
}
