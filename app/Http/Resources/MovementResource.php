<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** One movement of the ledger, in words. */
#[OA\Schema]
final readonly class MovementResource
{
    public function __construct(
        #[OA\Property]
        public int $number,
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
