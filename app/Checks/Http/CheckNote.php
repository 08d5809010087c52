<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** A note that somebody left at a check, and that nobody has answered yet. */
#[OA\Schema]
final readonly class CheckNote
{
    public function __construct(
        #[OA\Property(description: 'the id of the check')]
        public string $check,
        #[OA\Property(description: 'the code of the kit')]
        public string $kit,
        #[OA\Property]
        public string $kit_name,
        #[OA\Property]
        public string $day,
        #[OA\Property(description: 'whose account it was left from')]
        public string $by,
        #[OA\Property]
        public string $text,
    ) {
    }
}
