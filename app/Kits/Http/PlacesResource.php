<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Listing\PageOf;
use OpenApi\Attributes as OA;

/** One page of the places, in walking order. */
#[OA\Schema]
final readonly class PlacesResource
{
    /** @param  list<PlaceResource>  $places */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: PlaceResource::class))]
        public array $places,
        #[OA\Property]
        public PageOf $page,
    ) {
    }
}
