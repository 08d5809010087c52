<?php

declare(strict_types=1);

namespace App\Kits;

/** A place by name and path, and what it lies in. */
final readonly class PlaceAbove
{
    public function __construct(
        public string $id,
        public ?string $parent,
        public string $name,
        public string $path,
        public int $walkOrder,
    ) {
    }
}
