<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A module that is in no kit, and where it lies. */
#[OA\Schema]
final readonly class LooseModule
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $place,
    ) {
    }
}
