<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** What kits are missing and no store has. */
#[OA\Schema]
final readonly class ToBuy
{
    /** @param  list<ToBuyRow>  $rows */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: ToBuyRow::class))]
        public array $rows,
        #[OA\Property(nullable: true, description: 'what the cheapest packs come to, in minor units; null where none has a price')]
        public ?int $cost,
        #[OA\Property(description: 'items without a price on record, which the cost leaves out')]
        public int $without_price,
        #[OA\Property]
        public string $currency,
        #[OA\Property(description: 'kits that are being judged again: what they are missing may change')]
        public int $being_judged,
    ) {
    }
}
