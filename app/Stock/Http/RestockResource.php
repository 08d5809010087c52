<?php

declare(strict_types=1);

namespace App\Stock\Http;

use App\Kits\Http\BaseResource;
use OpenApi\Attributes as OA;

/** What goes in from the store and out of a kit, step by step: after each, the kit is no worse than before. */
#[OA\Schema]
final readonly class RestockResource
{
    /**
     * @param  string  $store  the nearest to the kit's place, or the one that was chosen
     * @param  list<StoreRef>  $stores
     * @param  list<TakeResource>  $out
     * @param  list<PutResource>  $in
     * @param  list<StayResource>  $stays
     * @param  list<NotAdvisedResource>  $not_advised
     * @param  list<MissingResource>  $missing
     * @param  list<ShelfLot>  $shelf
     */
    public function __construct(
        #[OA\Property]
        public string $store,
        #[OA\Property]
        public string $store_name,
        #[OA\Property(items: new OA\Items(ref: StoreRef::class), description: 'the stores that it can be restocked from')]
        public array $stores,
        #[OA\Property]
        public BaseResource $base,
        #[OA\Property]
        public string $until,
        #[OA\Property(items: new OA\Items(ref: TakeResource::class))]
        public array $out,
        #[OA\Property(items: new OA\Items(ref: PutResource::class))]
        public array $in,
        #[OA\Property(items: new OA\Items(ref: StayResource::class), description: 'what should leave and still counts')]
        public array $stays,
        #[OA\Property(items: new OA\Items(ref: NotAdvisedResource::class))]
        public array $not_advised,
        #[OA\Property(items: new OA\Items(ref: MissingResource::class))]
        public array $missing,
        #[OA\Property(items: new OA\Items(ref: ShelfLot::class), description: 'what else could be put in, by name and date')]
        public array $shelf,
    ) {
    }
}
