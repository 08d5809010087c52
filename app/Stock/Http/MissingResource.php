<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** What the store lacks. */
#[OA\Schema]
final readonly class MissingResource
{
    public function __construct(
        #[OA\Property]
        public ?string $line,
        #[OA\Property]
        public ?string $item,
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public int $quantity,
    ) {
    }
}
