<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** A lot of an item that is on record. */
#[OA\Schema]
final readonly class KnownLot
{
    public function __construct(
        #[OA\Property]
        public ?string $lot,
        #[OA\Property(description: 'as printed: YYYY-MM or YYYY-MM-DD')]
        public ?string $expires,
    ) {
    }
}
