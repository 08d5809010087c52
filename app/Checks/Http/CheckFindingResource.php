<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** What a check found. */
#[OA\Schema]
final readonly class CheckFindingResource
{
    public function __construct(
        #[OA\Property]
        public string $kind,
        #[OA\Property(enum: ['stop', 'fix', 'note'])]
        public string $severity,
        #[OA\Property]
        public string $text,
    ) {
    }
}
