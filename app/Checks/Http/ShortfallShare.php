<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** Of the pieces that were not found at one place in one shift, those of which nobody said where they went. */
#[OA\Schema]
final readonly class ShortfallShare
{
    public function __construct(
        #[OA\Property]
        public string $place,
        #[OA\Property(nullable: true)]
        public ?string $shift,
        #[OA\Property]
        public int $unsaid,
        #[OA\Property]
        public int $pieces,
    ) {
    }
}
