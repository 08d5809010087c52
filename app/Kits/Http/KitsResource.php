<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Support\Listing\PageOf;
use OpenApi\Attributes as OA;

/** One page of the kits in service. */
#[OA\Schema]
final readonly class KitsResource
{
    /** @param  list<KitRow>  $kits */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: KitRow::class))]
        public array $kits,
        #[OA\Property]
        public PageOf $page,
    ) {
    }
}
