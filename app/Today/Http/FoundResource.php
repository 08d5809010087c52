<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;

/** Something the finder found. */
#[OA\Schema]
final readonly class FoundResource
{
    public function __construct(
        #[OA\Property(enum: ['kit', 'item', 'place', 'lot'])]
        public string $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $detail,
        #[OA\Property]
        public string $href,
    ) {
    }
}
