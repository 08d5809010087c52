<?php

declare(strict_types=1);

namespace App\Carry\Http;

use OpenApi\Attributes as OA;

/** How many to carry, item by item, and the chance that all of it is enough at once. */
#[OA\Schema]
final readonly class CarryResource
{
    /**
     * @param  list<CarriedItem>  $rows
     * @param  list<string>  $without
     */
    public function __construct(
        #[OA\Property]
        public int $people,
        #[OA\Property]
        public int $days,
        #[OA\Property(description: 'the confidence asked of each item')]
        public string $each,
        #[OA\Property(nullable: true, description: 'the chance that was asked of all together')]
        public ?string $together,
        #[OA\Property(description: 'that all of them are enough at once')]
        public string $chance,
        #[OA\Property(nullable: true, description: 'asked of each, it lets all together reach the target; null: none up to 0.9999 does')]
        public ?string $common,
        #[OA\Property(description: 'people that the records are of')]
        public int $covered,
        #[OA\Property(description: 'days that the records go over')]
        public int $days_on_record,
        #[OA\Property(description: 'what the starting rates rest on')]
        public string $about,
        #[OA\Property(items: new OA\Items(ref: CarriedItem::class))]
        public array $rows,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'names of items of which no rate is known')]
        public array $without,
    ) {
    }
}
