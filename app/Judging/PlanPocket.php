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
}
