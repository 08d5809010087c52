<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces of one lot in one kit or store, and the last day on which they are good. */
#[OA\Schema]
final readonly class ExpiringRow
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $good_until,
        #[OA\Property(nullable: true, description: 'the code of the kit; null: in a store')]
        public ?string $kit,
        #[OA\Property(nullable: true)]
        public ?string $store,
        #[OA\Property(description: 'the name of the kit or store')]
        public string $where,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $lot,
        #[OA\Property]
        public int $pieces,
        #[OA\Property(nullable: true, description: 'to replace them, in minor units; null without a price')]
        public ?int $cost,
    ) {
    }
}
