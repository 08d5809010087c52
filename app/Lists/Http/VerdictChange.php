<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** How many kits have one verdict now and another one then. */
#[OA\Schema]
final readonly class VerdictChange
{
    public function __construct(
        #[OA\Property(enum: ['ready', 'ready_with_actions', 'no_requirement', 'limited', 'not_ready'])]
        public string $now,
        #[OA\Property(enum: ['ready', 'ready_with_actions', 'no_requirement', 'limited', 'not_ready'])]
        public string $then,
        #[OA\Property]
        public int $kits,
    ) {
    }
}
