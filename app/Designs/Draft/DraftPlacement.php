<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use OpenApi\Attributes as OA;

/** A line in a compartment of a design that is being packed. */
#[OA\Schema]
final readonly class DraftPlacement
{
    public function __construct(
        #[OA\Property(description: 'its code')]
        public string $line,
        #[OA\Property]
        public string $compartment,
        #[OA\Property(nullable: true, description: 'pieces, where it is split over several; null: all of it')]
        public ?int $quantity,
        #[OA\Property(format: 'date', nullable: true, description: 'planned: asked for from that day on')]
        public ?string $from_day,
        #[OA\Property(nullable: true, description: 'planned without a day: asked for from when a lead says that it has begun')]
        public ?string $waits_for,
    ) {
    }
}
