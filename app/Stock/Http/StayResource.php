<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces that should leave and still count: they stay until something replaces them. */
#[OA\Schema]
final readonly class StayResource
{
    public function __construct(
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public string $because,
        #[OA\Property(description: 'whose it is to replace them: who restocks the kit')]
        public string $owner,
        #[OA\Property(format: 'date', description: 'by when: their last good day, or today where that is past')]
        public string $by,
    ) {
    }
}
