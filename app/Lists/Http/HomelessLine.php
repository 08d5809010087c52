<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** A new line that needs a pocket. */
#[OA\Schema]
final readonly class HomelessLine
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
    ) {
    }
}
