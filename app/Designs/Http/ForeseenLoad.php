<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** What a compartment carries, with what lies inside it; or the whole kit. */
#[OA\Schema]
final readonly class ForeseenLoad
{
    public function __construct(
        #[OA\Property(nullable: true, description: 'null: the whole kit, with its own mass')]
        public ?string $compartment,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property(nullable: true)]
        public ?int $max_mass_g,
        #[OA\Property(description: 'of the items whose bulk is known')]
        public int $bulk_ml,
        #[OA\Property(nullable: true)]
        public ?int $volume_ml,
        #[OA\Property(description: 'items whose bulk is not known')]
        public int $without_bulk,
        #[OA\Property(description: 'whole minor units, by the piece of the cheapest pack')]
        public int $cost,
        #[OA\Property(nullable: true)]
        public ?int $max_cost,
        #[OA\Property(description: 'items without a price')]
        public int $without_price,
        #[OA\Property(description: 'closures that are opened before one has it in hand')]
        public int $reach,
    ) {
    }
}
