<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A pocket and where it lies on its leaf. */
#[OA\Schema]
final readonly class PocketResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $row,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public int $row_span,
        #[OA\Property]
        public int $column_span,
    ) {
    }
}
