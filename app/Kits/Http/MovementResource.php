<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** So many pieces of a lot that went somewhere, in words. */
#[OA\Schema]
final readonly class MovementResource
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public string $text,
    ) {
    }
}
