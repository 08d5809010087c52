<?php

declare(strict_types=1);

namespace App\Cope\Http;

use OpenApi\Attributes as OA;

/** A need that stands in the way of one casualty more. */
#[OA\Schema]
final readonly class LimitResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
    ) {
    }
}
