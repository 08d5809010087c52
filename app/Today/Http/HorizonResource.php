<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Kits\Http\PlaceRef;
use OpenApi\Attributes as OA;

/** The marks of one place over thirteen months. */
#[OA\Schema]
final readonly class HorizonResource
{
    /**
     * @param  list<MarkResource>  $marks
     */
    public function __construct(
        #[OA\Property]
        public PlaceRef $place,
        #[OA\Property(items: new OA\Items(ref: MarkResource::class))]
        public array $marks,
    ) {
    }
}
