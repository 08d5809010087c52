<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** Pieces that a full check did not find, and of which nobody has said where they went. */
#[OA\Schema]
final readonly class ShortfallResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $pieces,
        #[OA\Property(format: 'date')]
        public string $day,
    ) {
    }
}
