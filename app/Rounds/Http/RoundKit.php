<?php

declare(strict_types=1);

namespace App\Rounds\Http;

use OpenApi\Attributes as OA;

/** A kit of a round: what lies in the box for it, and whether it is done. */
#[OA\Schema]
final readonly class RoundKit
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $place,
        #[OA\Property(description: 'in the box')]
        public int $pieces,
        #[OA\Property]
        public int $wanted,
        #[OA\Property(format: 'date-time', nullable: true)]
        public ?string $done_at,
        #[OA\Property(nullable: true)]
        public ?string $done_by,
        #[OA\Property(nullable: true)]
        public ?string $skipped_because,
    ) {
    }
}
