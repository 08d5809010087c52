<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** A measure: as it was entered, and in the unit that the organisation prefers. */
#[OA\Schema]
final readonly class MeasureResource
{
    public function __construct(
        #[OA\Property]
        public string $measure,
        #[OA\Property]
        public string $quantity,
        #[OA\Property]
        public string $shown,
    ) {
    }
}
