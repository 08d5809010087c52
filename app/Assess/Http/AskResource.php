<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** Something that asks for the planner's attention, and where it is dealt with. */
#[OA\Schema]
final readonly class AskResource
{
    public function __construct(
        #[OA\Property(enum: ['assessment', 'cover', 'qualification'])]
        public string $kind,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $href,
    ) {
    }
}
