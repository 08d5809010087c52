<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class StoreWorkDone
{
    public function __construct(
        #[OA\Property(description: 'under which it is on record')]
        public int $operation,
        #[OA\Property]
        public StoreResource $store,
    ) {
    }
}
