<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** One of the two plans of an area. The cost is at the price per piece of the cheapest packs. */
#[OA\Schema]
final readonly class PlanResource
{
    /**
     * @param  list<PartResource>  $parts
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: PartResource::class))]
        public array $parts,
        #[OA\Property]
        public int $kits,
        #[OA\Property]
        public int $modules,
        #[OA\Property]
        public int $cost,
        #[OA\Property]
        public int $unpriced,
    ) {
    }
}
