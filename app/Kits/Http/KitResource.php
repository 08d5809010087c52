<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Checks\Http\CheckRef;
use App\Lists\Http\ListRef;
use OpenApi\Attributes as OA;

/** A kit: what it is, what is in it, and whether it is ready. */
#[OA\Schema]
final readonly class KitResource
{
    /**
     * @param  list<LeafResource>  $leaves
     * @param  list<ContentResource>  $contents
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $design,
        #[OA\Property]
        public string $design_name,
        #[OA\Property]
        public ListRef $list,
        #[OA\Property]
        public PlaceRef $place,
        #[OA\Property]
        public string $scope,
        #[OA\Property]
        public string $scope_because,
        #[OA\Property]
        public ?string $retired_on,
        #[OA\Property]
        public bool $sealed_design,
        #[OA\Property]
        public SealResource $seal,
        #[OA\Property]
        public ?string $used_on,
        #[OA\Property]
        public BaseResource $base,
        #[OA\Property]
        public VerdictResource $verdict,
        #[OA\Property]
        public DueResource $due,
        #[OA\Property(items: new OA\Items(ref: LeafResource::class))]
        public array $leaves,
        #[OA\Property(items: new OA\Items(ref: ContentResource::class))]
        public array $contents,
        #[OA\Property]
        public ?CheckRef $last_check,
    ) {
    }
}
