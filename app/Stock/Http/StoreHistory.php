<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class StoreHistory
{
    /** @param  list<StoreEntry>  $entries */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: StoreEntry::class))]
        public array $entries,
    ) {
    }
}
