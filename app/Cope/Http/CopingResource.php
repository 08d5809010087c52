<?php

declare(strict_types=1);

namespace App\Cope\Http;

use OpenApi\Attributes as OA;

/** What the supplies of a kit or a design suffice for: one kind at a time, without hands or skill. It is no treatment advice. */
#[OA\Schema]
final readonly class CopingResource
{
    /** @param  list<CopedResource>  $emergencies */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'], description: 'of those who have it; the lowest where shifts differ')]
        public string $scope,
        #[OA\Property(description: 'lines of a design that nothing in the catalogue serves')]
        public int $unserved,
        #[OA\Property]
        public int $kinds,
        #[OA\Property(description: 'kinds whose needs nobody confirmed')]
        public int $unconfirmed,
        #[OA\Property(items: new OA\Items(ref: CopedResource::class))]
        public array $emergencies,
        #[OA\Property(description: 'of the two kinds that were asked for, at once')]
        public ?CopedResource $together,
    ) {
    }
}
