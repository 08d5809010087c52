<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** A store, and how much lies in it. */
#[OA\Schema]
final readonly class StoreResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $place_id,
        #[OA\Property]
        public string $place,
        #[OA\Property(format: 'date')]
        public ?string $retired_on,
        #[OA\Property(description: 'different items')]
        public int $items,
        #[OA\Property]
        public int $pieces,
    ) {
    }
}
