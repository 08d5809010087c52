<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** The seal of a kit. */
#[OA\Schema]
final readonly class SealResource
{
    public function __construct(
        #[OA\Property(enum: ['intact', 'broken', 'none'])]
        public string $state,
        #[OA\Property(description: 'null where it is intact: it is read from the kit')]
        public ?string $number,
        #[OA\Property]
        public ?string $broken_on,
        #[OA\Property]
        public ?string $reason,
    ) {
    }
}
