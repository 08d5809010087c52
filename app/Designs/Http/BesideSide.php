<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** One of two editions beside each other, packed as it asks. */
#[OA\Schema]
final readonly class BesideSide
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $list,
        #[OA\Property(description: 'with the mass of the empty kit')]
        public int $mass_g,
        #[OA\Property(nullable: true)]
        public ?int $max_mass_g,
        #[OA\Property(description: 'of the items whose bulk is known')]
        public int $bulk_ml,
        #[OA\Property(description: 'whole minor units')]
        public int $cost,
        #[OA\Property]
        public int $lines,
        #[OA\Property]
        public int $pockets,
    ) {
    }
}
