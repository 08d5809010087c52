<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces of a lot in a store. */
#[OA\Schema]
final readonly class StoreRow
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
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
