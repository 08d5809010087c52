<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces of a lot to take from the store for all kits of a pick list. */
#[OA\Schema]
final readonly class PickedLot
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $caution,
        #[OA\Property(nullable: true)]
        public ?string $lot,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
    ) {
    }
}
