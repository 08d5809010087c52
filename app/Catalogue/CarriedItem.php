<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Catalogue\Http\CarriedResource;

/** Where an item lies: the first of these places, and how many pieces there are in all. */
final readonly class CarriedItem
{
    /** @param  list<CarriedResource>  $rows */
    public function __construct(
        public array $rows,
        public int $places,
        public int $inKits,
        public int $inStores,
    ) {
    }
}
