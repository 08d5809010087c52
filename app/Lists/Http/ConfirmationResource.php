<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** What was found for a line beside somebody's own copy of the standard. */
#[OA\Schema]
final readonly class ConfirmationResource
{
    public function __construct(
        #[OA\Property(enum: ['matches', 'differs', 'absent'])]
        public string $outcome,
        #[OA\Property]
        public string $asked,
        #[OA\Property]
        public ?string $figure,
        #[OA\Property]
        public ?string $note,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $on,
    ) {
    }
}
