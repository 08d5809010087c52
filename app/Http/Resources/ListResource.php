<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;

/** A list that kits are held to. */
#[OA\Schema]
final readonly class ListResource
{
    /**
     * @param  list<string>  $excludes
     * @param  list<string>  $designs
     * @param  list<ListLineResource>  $lines
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $size,
        #[OA\Property]
        public string $edition,
        #[OA\Property]
        public string $basis,
        #[OA\Property(enum: ['starter', 'house'])]
        public string $origin,
        #[OA\Property]
        public bool $confirmed,
        #[OA\Property]
        public ?string $confirmed_on,
        #[OA\Property]
        public ?string $confirmed_by,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $excludes,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $designs,
        #[OA\Property(items: new OA\Items(ref: ListLineResource::class))]
        public array $lines,
    ) {
    }
}
