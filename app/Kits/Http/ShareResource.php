<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** So many pieces of a line that is split over several pockets. */
#[OA\Schema]
final readonly class ShareResource
{
    public function __construct(
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property]
        public int $quantity,
    ) {
    }
}
