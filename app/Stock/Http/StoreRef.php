<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** A store, by name. */
#[OA\Schema]
final readonly class StoreRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
    ) {
    }
}
