<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** Two editions, of one design or of two, each in a configuration or in none, beside each other. */
#[OA\Schema]
final readonly class BesideResource
{
    /** @param  list<BesideRow>  $rows */
    public function __construct(
        #[OA\Property]
        public BesideSide $one,
        #[OA\Property]
        public BesideSide $other,
        #[OA\Property]
        public string $currency,
        #[OA\Property(items: new OA\Items(ref: BesideRow::class), description: 'what differs first')]
        public array $rows,
    ) {
    }
}
