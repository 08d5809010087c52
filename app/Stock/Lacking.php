<?php

declare(strict_types=1);

namespace App\Stock;

/** What the store does not have of what a kit needs. */
final readonly class Lacking
{
    public function __construct(
        public ?string $line,
        public ?string $item,
        public string $what,
        public int $quantity,
    ) {
    }
}
