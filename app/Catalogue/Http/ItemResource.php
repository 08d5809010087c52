<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** An item of the catalogue: what it is, what it needs, where it is. */
#[OA\Schema]
final readonly class ItemResource
{
    /**
     * @param  list<string>  $never_for
     * @param  list<MeasureResource>  $measures
     * @param  list<PackResource>  $packs
     * @param  list<NeedResource>  $needs
     * @param  list<ItemName>  $stand_ins
     * @param  list<ItemName>  $stands_in_for
     * @param  list<string>  $accepted_by
     * @param  list<string>  $excluded_by
     * @param  list<CarriedResource>  $carried
     * @param  list<string>  $missing_in
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $class,
        #[OA\Property]
        public string $class_title,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property(enum: ['each', 'pair', 'roll'])]
        public string $count_unit,
        #[OA\Property]
        public bool $dated,
        #[OA\Property]
        public bool $sterile,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public string $mass_shown,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'])]
        public string $scope,
        #[OA\Property]
        public bool $reserve,
        #[OA\Property(description: 'only at hand for who is trained for it')]
        public bool $only_for_trained,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'classes in whose place it must never be used')]
        public array $never_for,
        #[OA\Property(description: 'the fewest days that its life after opening can have; null: it is not used once opened')]
        public ?int $opened_life_days,
        #[OA\Property]
        public ?string $superseded_by,
        #[OA\Property]
        public ?string $superseded_by_code,
        #[OA\Property]
        public ?int $storage_min_c,
        #[OA\Property]
        public ?int $storage_max_c,
        #[OA\Property]
        public ?int $opened_life,
        #[OA\Property(enum: ['days', 'weeks', 'months'])]
        public ?string $opened_life_unit,
        #[OA\Property]
        public ?string $allergy,
        #[OA\Property]
        public HandlingResource $handling,
        #[OA\Property]
        public int $revision,
        #[OA\Property]
        public string $currency,
        #[OA\Property(items: new OA\Items(ref: MeasureResource::class))]
        public array $measures,
        #[OA\Property(items: new OA\Items(ref: PackResource::class))]
        public array $packs,
        #[OA\Property(items: new OA\Items(ref: NeedResource::class))]
        public array $needs,
        #[OA\Property(items: new OA\Items(ref: ItemName::class))]
        public array $stand_ins,
        #[OA\Property(items: new OA\Items(ref: ItemName::class))]
        public array $stands_in_for,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $accepted_by,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $excluded_by,
        #[OA\Property(items: new OA\Items(ref: CarriedResource::class))]
        public array $carried,
        #[OA\Property(description: 'rows there are in all; the first of them are given')]
        public int $carried_rows,
        #[OA\Property(description: 'pieces')]
        public int $in_kits,
        #[OA\Property(description: 'pieces')]
        public int $in_stores,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $missing_in,
        #[OA\Property(description: 'kits there are in all; the first of them are given')]
        public int $missing_kits,
    ) {
    }
}
