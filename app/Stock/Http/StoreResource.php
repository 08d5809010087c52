<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** A store and what lies in it. */
#[OA\Schema]
final readonly class StoreResource
{
    /**
     * @param  list<StoreRow>  $rows
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $place,
        #[OA\Property(items: new OA\Items(ref: StoreRow::class))]
        public array $rows,
    ) {
    }
}
