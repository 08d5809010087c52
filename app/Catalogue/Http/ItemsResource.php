<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use App\Support\Listing\PageOf;
use OpenApi\Attributes as OA;

/** One page of the catalogue. */
#[OA\Schema]
final readonly class ItemsResource
{
    /** @param  list<ItemRow>  $items */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: ItemRow::class))]
        public array $items,
        #[OA\Property]
        public PageOf $page,
    ) {
    }
}
