<?php

declare(strict_types=1);

namespace App\Rounds\Http;

use OpenApi\Attributes as OA;

/** A round that is not ended. */
#[OA\Schema]
final readonly class RoundRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $store,
        #[OA\Property]
        public string $made_by,
        #[OA\Property(format: 'date-time')]
        public string $made_at,
        #[OA\Property]
        public int $kits,
        #[OA\Property]
        public int $done,
    ) {
    }
}
