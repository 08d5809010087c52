<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A measure of an item, as entered. */
#[OA\Schema]
final readonly class MeasureResource
{
    public function __construct(
        #[OA\Property]
        public string $measure,
        #[OA\Property]
        public string $quantity,
    ) {
    }
}
