<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Kit\Row;

/** Pieces that leave the kit, how many of a row, why, and where they go: back to a store where they are still good, else they are disposed of. */
final readonly class Leaving
{
    public function __construct(
        public int $index,
        public Row $row,
        public FindingKind $because,
        public bool $toStore,
        public int $pieces,
    ) {
    }
}
