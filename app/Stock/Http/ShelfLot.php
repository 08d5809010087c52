<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces of a lot that lie good and in date in a store. */
#[OA\Schema]
final readonly class ShelfLot
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public string $lot_id,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property(description: 'as printed')]
        public ?string $expires,
        #[OA\Property(format: 'date')]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(nullable: true)]
        public ?string $item_class,
        #[OA\Property(nullable: true, description: 'what is done to it before, where the organisation asks for that')]
        public ?string $staging,
    ) {
    }
}
