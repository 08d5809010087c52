<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** What expires in one month, over all kits and stores. */
#[OA\Schema]
final readonly class MonthAhead
{
    public function __construct(
        #[OA\Property(description: 'as YYYY-MM')]
        public string $month,
        #[OA\Property]
        public int $in_kits,
        #[OA\Property]
        public int $in_stores,
        #[OA\Property(description: 'what the pieces in kits cost to replace, by the piece of the cheapest pack, in minor units')]
        public int $cost,
        #[OA\Property(description: 'items in kits without a price on record, which the cost leaves out')]
        public int $without_price,
    ) {
    }
}
