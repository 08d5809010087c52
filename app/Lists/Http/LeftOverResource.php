<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** Something held that no line takes, or that the list excludes. */
#[OA\Schema]
final readonly class LeftOverResource
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(enum: ['extra', 'excluded', 'beyond_scope', 'unusable'])]
        public string $because,
        #[OA\Property]
        public ?string $pocket,
    ) {
    }
}
