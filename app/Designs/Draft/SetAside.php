<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use OpenApi\Attributes as OA;

/** Advice that somebody decided against, and why. */
#[OA\Schema]
final readonly class SetAside
{
    public function __construct(
        #[OA\Property(description: 'what the advice is about')]
        public string $about,
        #[OA\Property]
        public string $reason,
    ) {
    }
}
