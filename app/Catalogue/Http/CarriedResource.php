<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** Where pieces of an item lie. */
#[OA\Schema]
final readonly class CarriedResource
{
    public function __construct(
        #[OA\Property]
        public string $where,
        #[OA\Property]
        public ?string $kit,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public ?string $expires,
        #[OA\Property]
        public ?string $good_until,
        #[OA\Property]
        public string $condition,
        #[OA\Property(format: 'date')]
        public ?string $opened_on,
        #[OA\Property]
        public int $quantity,
    ) {
    }
}
