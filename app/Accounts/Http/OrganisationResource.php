<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** Whose kits these are, and how measures and money are shown. */
#[OA\Schema]
final readonly class OrganisationResource
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $time_zone,
        #[OA\Property(enum: ['mm', 'cm', 'in'])]
        public string $length_unit,
        #[OA\Property(enum: ['g', 'oz'])]
        public string $mass_unit,
        #[OA\Property(enum: ['ml', 'floz'])]
        public string $volume_unit,
        #[OA\Property]
        public string $currency,
        #[OA\Property]
        public int $people_kept_days,
        #[OA\Property(description: 'whether everybody needs a second factor')]
        public bool $factor_required,
        #[OA\Property(description: 'whether items put in unprepared are an action due')]
        public bool $asks_staging,
        #[OA\Property(description: 'items with a price, whose figure another currency would leave as it is')]
        public int $priced_items,
        #[OA\Property(description: 'receipts with a price, which keep the currency in which it was paid')]
        public int $priced_receipts,
        #[OA\Property(description: 'kits in service, which another time zone has judged again')]
        public int $kits,
    ) {
    }
}
