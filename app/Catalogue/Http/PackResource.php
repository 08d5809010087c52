<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** A size in which an item is bought; the price is in minor units, null where it is not known. */
#[OA\Schema]
final readonly class PackResource
{
    public function __construct(
        #[OA\Property]
        public int $pieces,
        #[OA\Property]
        public ?int $price,
    ) {
    }
}
