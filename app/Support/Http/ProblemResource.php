<?php

declare(strict_types=1);

namespace App\Support\Http;

use OpenApi\Attributes as OA;

/** What was wrong, where, and what to do (application/problem+json). */
#[OA\Schema]
final readonly class ProblemResource
{
    public function __construct(
        #[OA\Property]
        public string $type,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $status,
        #[OA\Property]
        public string $detail,
    ) {
    }
}
