<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** What follows a place that is merged into another. */
#[OA\Schema]
final readonly class MergingResource
{
    /**
     * @param  list<string>  $kits
     * @param  list<string>  $stores
     * @param  list<string>  $places
     * @param  list<string>  $areas
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'codes')]
        public array $kits,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $stores,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'that lie in it')]
        public array $places,
        #[OA\Property]
        public int $postings,
        #[OA\Property(description: 'shifts for which it asks for first aiders')]
        public int $cover_needs,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'of assessments that are not signed yet')]
        public array $areas,
    ) {
    }
}
