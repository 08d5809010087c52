<?php

declare(strict_types=1);

namespace App\People\Http;

use OpenApi\Attributes as OA;

/** Where somebody is posted, for which shift. */
#[OA\Schema]
final readonly class PostingResource
{
    public function __construct(
        #[OA\Property]
        public string $place_id,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $shift,
    ) {
    }
}
