<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** When the next check is, and why. */
#[OA\Schema]
final readonly class DueResource
{
    public function __construct(
        #[OA\Property]
        public ?string $next,
        #[OA\Property(enum: ['full', 'quick'])]
        public ?string $kind,
        #[OA\Property]
        public ?string $because,
        #[OA\Property]
        public int $overdue_days,
        #[OA\Property]
        public string $text,
    ) {
    }
}
