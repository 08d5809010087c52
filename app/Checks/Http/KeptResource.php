<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** What is kept, though nothing of it could be recorded. */
#[OA\Schema]
final readonly class KeptResource
{
    /** @param  list<UnsettledResource>  $unsettled */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: UnsettledResource::class))]
        public array $unsettled,
    ) {
    }
}
