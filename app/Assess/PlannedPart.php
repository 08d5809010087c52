<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\AreaOverride;

/** So many kits or modules of one kind in an area: what was calculated, and what the responsible person put in its place. */
final readonly class PlannedPart
{
    public function __construct(
        public string $wanted,
        public int $calculated,
        public string $because,
        public ?AreaOverride $override,
    ) {
    }

    public function count(): int
    {
        return $this->override->count ?? $this->calculated;
    }
}
