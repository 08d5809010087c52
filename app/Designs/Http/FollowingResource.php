<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** Kits that keep an older edition of their design, and are to follow the latest. */
#[OA\Schema]
final readonly class FollowingResource
{
    /** @param  list<KitToFollowEdition>  $kits */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: KitToFollowEdition::class))]
        public array $kits,
        #[OA\Property]
        public int $in_all,
    ) {
    }
}
