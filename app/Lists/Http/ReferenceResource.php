<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** What ships with the application, to begin with. */
#[OA\Schema]
final readonly class ReferenceResource
{
    /** @param  list<ReferenceList>  $lists */
    public function __construct(
        #[OA\Property(description: 'generic items')]
        public int $items,
        #[OA\Property(description: 'how many items the catalogue has')]
        public int $items_there,
        #[OA\Property(items: new OA\Items(ref: ReferenceList::class))]
        public array $lists,
    ) {
    }
}
