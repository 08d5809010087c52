<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** How many of an item a store should have, by what went from it into kits. */
#[OA\Schema]
final readonly class ProposedLevel
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'pieces: enough for four weeks in nineteen of twenty cases')]
        public int $least,
        #[OA\Property(description: 'pieces: enough for thirteen weeks, in whole packs where there are any')]
        public int $target,
        #[OA\Property(description: 'how often it was restocked from here in the last year; below ten the figures are rough')]
        public int $restocks,
        #[OA\Property(nullable: true, description: 'pieces of the smallest pack that holds several')]
        public ?int $pack,
        #[OA\Property(nullable: true, description: 'as it is set now')]
        public ?int $least_now,
        #[OA\Property(nullable: true)]
        public ?int $target_now,
    ) {
    }
}
