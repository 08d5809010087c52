<?php

declare(strict_types=1);

namespace App\Designs;

use App\Judging\KitPlan;
use Sarcina\Core\Packing\Packing;

/** A design that is being packed, as the core sees it, with the plan that it makes. */
final readonly class PackedDesign
{
    public function __construct(
        public KitPlan $plan,
        public Packing $packing,
    ) {
    }
}
