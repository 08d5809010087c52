<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** What both plans come to, for one kind of kit or module. */
#[OA\Schema]
final readonly class TotalResource
{
    public function __construct(
        #[OA\Property(enum: ['kit', 'module'])]
        public string $what,
        #[OA\Property]
        public string $wanted,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $least,
        #[OA\Property]
        public int $full,
        #[OA\Property]
        public ?int $each,
    ) {
    }
}
