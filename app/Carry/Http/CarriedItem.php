<?php

declare(strict_types=1);

namespace App\Carry\Http;

use OpenApi\Attributes as OA;

/** How many of one item to carry, and what that rests on. */
#[OA\Schema]
final readonly class CarriedItem
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['own', 'starting'], description: 'own: from ten uses on record, or more')]
        public string $source,
        #[OA\Property(description: 'on record')]
        public int $uses_known,
        #[OA\Property(description: 'uses in 1000 person-days')]
        public string $rate,
        #[OA\Property(nullable: true, description: 'with nine chances in ten it is no less')]
        public ?string $rate_least,
        #[OA\Property(nullable: true, description: 'and no more')]
        public ?string $rate_most,
        #[OA\Property]
        public int $pieces_per_use,
        #[OA\Property(description: 'uses to be expected')]
        public string $mean,
        #[OA\Property(description: 'uses that are covered')]
        public int $uses,
        #[OA\Property(description: 'pieces to carry')]
        public int $par,
        #[OA\Property(description: 'that this item is enough')]
        public string $chance,
    ) {
    }
}
