<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** One thing to take out of a kit or to put in, as it is printed. */
#[OA\Schema]
final readonly class PickedRow
{
    public function __construct(
        #[OA\Property(enum: ['out', 'in'])]
        public string $way,
        #[OA\Property(nullable: true)]
        public ?string $pocket,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $caution,
        #[OA\Property(nullable: true)]
        public ?string $lot,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(enum: ['store', 'discard'], nullable: true, description: 'where it goes, for what goes out')]
        public ?string $to,
    ) {
    }
}
