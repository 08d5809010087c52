<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** An assessment by its title and day. */
#[OA\Schema]
final readonly class AssessmentRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $signed_on,
    ) {
    }
}
