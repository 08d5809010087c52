<?php

declare(strict_types=1);

namespace App\Cope\Http;

use OpenApi\Attributes as OA;

/** A kind of emergency, as it is counted with. */
#[OA\Schema]
final readonly class EmergencyResource
{
    /** @param  list<EmergencyNeedResource>  $needs */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'])]
        public string $scope,
        #[OA\Property(description: 'what its needs rest on')]
        public string $basis,
        #[OA\Property]
        public int $revision,
        #[OA\Property]
        public ?string $confirmed_on,
        #[OA\Property]
        public ?string $confirmed_by,
        #[OA\Property(items: new OA\Items(ref: EmergencyNeedResource::class))]
        public array $needs,
        #[OA\Property(description: 'who deal with one casualty')]
        public int $helpers,
    ) {
    }
}
