<?php

declare(strict_types=1);

namespace App\People\Http;

use OpenApi\Attributes as OA;

/** The first aiders, and after how many days their records go. */
#[OA\Schema]
final readonly class PeopleResource
{
    /**
     * @param  list<FirstAiderResource>  $people
     */
    public function __construct(
        #[OA\Property]
        public int $kept_days,
        #[OA\Property(items: new OA\Items(ref: FirstAiderResource::class))]
        public array $people,
    ) {
    }
}
