<?php

declare(strict_types=1);

namespace App\Assess\Http;

use App\Lists\Http\ListRef;
use OpenApi\Attributes as OA;

/**
 * So many kits or modules of one kind in an area: what was calculated, what is planned, why, which list it keeps, what one costs and where it hangs.
 */
#[OA\Schema]
final readonly class PartResource
{
    public function __construct(
        #[OA\Property(enum: ['kit', 'module'])]
        public string $what,
        #[OA\Property]
        public string $wanted,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $calculated,
        #[OA\Property]
        public int $count,
        #[OA\Property]
        public string $because,
        #[OA\Property]
        public ?OverrideResource $override,
        #[OA\Property]
        public ?ListRef $list,
        #[OA\Property]
        public ?int $each,
        #[OA\Property]
        public int $unpriced,
        #[OA\Property]
        public string $where,
    ) {
    }
}
