<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** An item of the catalogue: what it is, what it needs, where it is. */
#[OA\Schema]
final readonly class ItemResource
{
    /**
     * @param  list<MeasureResource>  $measures
     * @param  list<int>  $packs
     * @param  list<NeedResource>  $needs
     * @param  list<CarriedResource>  $carried
     * @param  list<string>  $missing_in
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $class,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public string $count_unit,
        #[OA\Property]
        public bool $dated,
        #[OA\Property]
        public bool $sterile,
        #[OA\Property]
        public int $mass_g,
        #[OA\Property]
        public string $scope,
        #[OA\Property]
        public bool $reserve,
        #[OA\Property]
        public ?string $superseded_by,
        #[OA\Property(items: new OA\Items(ref: MeasureResource::class))]
        public array $measures,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $packs,
        #[OA\Property(items: new OA\Items(ref: NeedResource::class))]
        public array $needs,
        #[OA\Property(items: new OA\Items(ref: CarriedResource::class))]
        public array $carried,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $missing_in,
    ) {
    }
}
