<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** Pieces of one lot in one condition in one pocket. */
#[OA\Schema]
final readonly class ContentResource
{
    public function __construct(
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property]
        public ?string $line,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public string $count_unit,
        #[OA\Property]
        public bool $dated,
        #[OA\Property]
        public ?string $lot_id,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public ?string $expires,
        #[OA\Property]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(enum: ['good', 'opened', 'damaged', 'soiled', 'failed'])]
        public string $condition,
    ) {
    }
}
