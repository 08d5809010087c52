<?php

declare(strict_types=1);

namespace App\Builds\Http;

use OpenApi\Attributes as OA;

/** So many pieces, in one pocket. */
#[OA\Schema]
final readonly class BuildShare
{
    public function __construct(
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property(minimum: 1)]
        public int $quantity,
    ) {
    }
}
