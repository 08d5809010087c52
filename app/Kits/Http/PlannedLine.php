<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A line that a design plans and does not ask for yet. */
#[OA\Schema]
final readonly class PlannedLine
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public ?string $pocket_id,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $from,
        #[OA\Property(description: 'without a day: what it waits for', nullable: true)]
        public ?string $waits_for,
    ) {
    }
}
