<?php

declare(strict_types=1);

namespace App\Checks\Http;

use OpenApi\Attributes as OA;

/** What the last full check did not find, to be asked about once; and how much of it nobody ever said, over a year. */
#[OA\Schema]
final readonly class ShortfallsResource
{
    /**
     * @param  list<ShortfallResource>  $asked
     * @param  list<ShortfallShare>  $shares
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: ShortfallResource::class))]
        public array $asked,
        #[OA\Property(items: new OA\Items(ref: ShortfallShare::class))]
        public array $shares,
    ) {
    }
}
