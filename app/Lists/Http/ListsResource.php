<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Support\Listing\PageOf;
use OpenApi\Attributes as OA;

/** One page of the lists and their editions. */
#[OA\Schema]
final readonly class ListsResource
{
    /** @param  list<ListSummary>  $lists */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: ListSummary::class))]
        public array $lists,
        #[OA\Property]
        public PageOf $page,
    ) {
    }
}
