<?php

declare(strict_types=1);

namespace App\Today\Http;

use OpenApi\Attributes as OA;

/** What the finder found. */
#[OA\Schema]
final readonly class FindResource
{
    /**
     * @param  list<FoundResource>  $found
     */
    public function __construct(
        #[OA\Property]
        public string $query,
        #[OA\Property(items: new OA\Items(ref: FoundResource::class))]
        public array $found,
    ) {
    }
}
