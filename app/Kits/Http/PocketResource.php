<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A pocket and where it lies on its leaf. */
#[OA\Schema]
final readonly class PocketResource
{
    /**
     * @param  list<string>  $properties
     * @param  list<LookedForResource>  $looked_for
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $row,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public int $row_span,
        #[OA\Property]
        public int $column_span,
        #[OA\Property]
        public ?string $caution = null,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $properties = [],
        #[OA\Property(items: new OA\Items(ref: LookedForResource::class), description: 'what people search here, and where it lives')]
        public array $looked_for = [],
    ) {
    }
}
