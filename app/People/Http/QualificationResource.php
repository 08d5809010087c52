<?php

declare(strict_types=1);

namespace App\People\Http;

use OpenApi\Attributes as OA;

/** What somebody is trained to, and until when. */
#[OA\Schema]
final readonly class QualificationResource
{
    public function __construct(
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'])]
        public string $scope,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $expires_on,
        #[OA\Property]
        public bool $valid,
    ) {
    }
}
