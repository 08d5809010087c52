<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A place; places below it follow it. */
#[OA\Schema]
final readonly class PlaceResource
{
    /**
     * @param  list<StoreAtPlace>  $stores
     * @param  list<KitAtPlace>  $hanging
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public ?string $parent_id,
        #[OA\Property(enum: ['site', 'building', 'floor', 'spot', 'vehicle', 'person'])]
        public string $kind,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $path,
        #[OA\Property(description: 'kits that are there, without what lies below it')]
        public int $kits,
        #[OA\Property(format: 'date', description: 'since when it is no longer used')]
        public ?string $retired_on = null,
        #[OA\Property(items: new OA\Items(ref: StoreAtPlace::class))]
        public array $stores = [],
        #[OA\Property(description: 'first aiders posted there, in any shift')]
        public int $posted = 0,
        #[OA\Property(items: new OA\Items(ref: KitAtPlace::class), description: 'the first of its kits, by code')]
        public array $hanging = [],
        #[OA\Property(nullable: true, enum: ['workplace', 'school', 'sport', 'trip', 'event'], description: 'for rates of use; null: as above it')]
        public ?string $setting = null,
    ) {
    }
}
