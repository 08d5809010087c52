<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ReferenceList
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property(nullable: true)]
        public ?string $size,
        #[OA\Property(description: 'what it rests on')]
        public string $basis,
        #[OA\Property(enum: ['starter', 'house', 'module'])]
        public string $kind,
        #[OA\Property]
        public int $lines,
        #[OA\Property(description: 'whether a list of this code is there already')]
        public bool $is_there,
    ) {
    }
}
