<?php

declare(strict_types=1);

namespace App\Rotations\Http;

use OpenApi\Attributes as OA;

/** Pieces of a lot that move, or should, from one kit to another. */
#[OA\Schema]
final readonly class MoveResource
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'null where it is only proposed')]
        public ?string $id,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $lot,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $from_place,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $to_place,
        #[OA\Property]
        public bool $is_done,
        #[OA\Property(nullable: true)]
        public ?string $dropped_because,
    ) {
    }
}
