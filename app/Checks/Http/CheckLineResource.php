<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** How far a line was met at a check. */
#[OA\Schema]
final readonly class CheckLineResource
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public ?string $pocket,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property]
        public string $required,
        #[OA\Property]
        public string $effective,
        #[OA\Property]
        public ?int $reserve,
        #[OA\Property]
        public string $short,
    ) {
    }
}
