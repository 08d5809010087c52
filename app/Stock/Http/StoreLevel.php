<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** How many pieces of an item a store is to have at least, up to how many it is filled, and how many it has. */
#[OA\Schema]
final readonly class StoreLevel
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'pieces')]
        public int $least,
        #[OA\Property(description: 'pieces')]
        public int $target,
        #[OA\Property(description: 'good pieces there, in date')]
        public int $there,
        #[OA\Property(nullable: true, description: 'pieces of the smallest pack that holds several')]
        public ?int $pack = null,
    ) {
    }
}
