<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** The list that a kit or design is held to. */
#[OA\Schema]
final readonly class ListRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $size,
        #[OA\Property]
        public string $edition,
        #[OA\Property]
        public string $basis,
        #[OA\Property(enum: ['starter', 'house'])]
        public string $origin,
        #[OA\Property]
        public bool $confirmed,
    ) {
    }
}
