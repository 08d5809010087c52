<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Kits\Http\BaseResource;
use App\Support\Listing\PageOf;
use OpenApi\Attributes as OA;

/** One page of what lies in a store. */
#[OA\Schema]
final readonly class StoreContentsResource
{
    /** @param  list<StoreRow>  $rows */
    public function __construct(
        #[OA\Property]
        public StoreResource $store,
        #[OA\Property]
        public BaseResource $base,
        #[OA\Property(items: new OA\Items(ref: StoreRow::class))]
        public array $rows,
        #[OA\Property]
        public PageOf $page,
    ) {
    }
}
