<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** What people search in a pocket, and where it lives. */
#[OA\Schema]
final readonly class LookedForResource
{
    public function __construct(
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public string $lives,
    ) {
    }
}
