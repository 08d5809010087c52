<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** A leaf of the open kit, or a pocket, a pouch or a slot in one. */
final readonly class Compartment
{
    /** @param  string|null  $parent  the id of what it lies in; null for a leaf */
    public function __construct(
        public string $id,
        public ?string $parent = null,
        public bool $closes = false,
        public bool $isExposedToRain = false,
        public bool $isWaterproof = false,
        public bool $isForSharps = false,
        public bool $hasCaution = false,
    ) {
    }
}
