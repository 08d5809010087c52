<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces that the store has and that had better not be put in, and why. */
#[OA\Schema]
final readonly class NotAdvisedResource
{
    public function __construct(
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(enum: ['no_companion', 'overweight', 'expires_no_later', 'lowers_verdict'])]
        public string $because,
    ) {
    }
}
