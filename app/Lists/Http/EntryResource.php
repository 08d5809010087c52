<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Catalogue\Http\MeasureResource;
use OpenApi\Attributes as OA;

/** An entry of what a line accepts: an item, or a class with minimum and maximum measures, and the same in words. */
#[OA\Schema]
final readonly class EntryResource
{
    /**
     * @param  list<MeasureResource>  $minima
     * @param  list<MeasureResource>  $maxima
     */
    public function __construct(
        #[OA\Property]
        public ?string $item,
        #[OA\Property]
        public ?string $class,
        #[OA\Property(items: new OA\Items(ref: MeasureResource::class))]
        public array $minima,
        #[OA\Property(items: new OA\Items(ref: MeasureResource::class))]
        public array $maxima,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public string $text,
    ) {
    }
}
