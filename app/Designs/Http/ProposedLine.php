<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ProposedLine
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
    ) {
    }
}
