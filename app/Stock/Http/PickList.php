<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** What to take from one store for several kits, and what goes where. */
#[OA\Schema]
final readonly class PickList
{
    /**
     * @param  list<PickedLot>  $take
     * @param  list<PickedKit>  $kits
     */
    public function __construct(
        #[OA\Property]
        public string $store,
        #[OA\Property]
        public string $store_name,
        #[OA\Property]
        public string $place,
        #[OA\Property(items: new OA\Items(ref: PickedLot::class))]
        public array $take,
        #[OA\Property(items: new OA\Items(ref: PickedKit::class), description: 'in walking order')]
        public array $kits,
    ) {
    }
}
