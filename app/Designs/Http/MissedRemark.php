<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** That an item of a design was left behind once, and then missed. */
#[OA\Schema]
final readonly class MissedRemark
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(description: 'in words: "Left behind on 3 May 2026, then missed: …"')]
        public string $text,
        #[OA\Property(description: 'who noted it')]
        public string $by,
    ) {
    }
}
