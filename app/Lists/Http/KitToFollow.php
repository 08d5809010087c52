<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** A kit that keeps an older edition than the latest of its design. */
#[OA\Schema]
final readonly class KitToFollow
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
    ) {
    }
}
