<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;

/** How many kits have a verdict. */
#[OA\Schema]
final readonly class VerdictCount
{
    public function __construct(
        #[OA\Property(enum: ['ready', 'ready_with_actions', 'no_requirement', 'limited', 'not_ready'])]
        public string $verdict,
        #[OA\Property]
        public int $kits,
    ) {
    }
}
