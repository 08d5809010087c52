<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A side of the kit as it lies open. */
#[OA\Schema]
final readonly class LeafResource
{
    /**
     * @param  list<PocketResource>  $pockets
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(ref: PocketResource::class))]
        public array $pockets,
    ) {
    }
}
