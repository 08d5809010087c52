<?php

declare(strict_types=1);

namespace App\Rounds\Http;

use App\Stock\Http\PickedLot;
use OpenApi\Attributes as OA;

/** A round: what to take from the store, and the kits in walking order. */
#[OA\Schema]
final readonly class RoundResource
{
    /**
     * @param  list<PickedLot>  $box
     * @param  list<RoundKit>  $kits
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $store,
        #[OA\Property]
        public string $store_name,
        #[OA\Property]
        public string $made_by,
        #[OA\Property(format: 'date-time')]
        public string $made_at,
        #[OA\Property]
        public bool $is_ended,
        #[OA\Property(items: new OA\Items(ref: PickedLot::class))]
        public array $box,
        #[OA\Property(items: new OA\Items(ref: RoundKit::class))]
        public array $kits,
    ) {
    }
}
