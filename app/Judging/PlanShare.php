<?php

declare(strict_types=1);

namespace App\Judging;

/** So many pieces of a line that is split over several pockets. */
final readonly class PlanShare
{
    public function __construct(
        public string $pocketId,
        public int $quantity,
    ) {
    }
}
