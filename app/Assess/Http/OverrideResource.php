<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** A figure put in place of the calculated one, who did it and why. */
#[OA\Schema]
final readonly class OverrideResource
{
    public function __construct(
        #[OA\Property]
        public int $count,
        #[OA\Property]
        public string $reason,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $on,
    ) {
    }
}
