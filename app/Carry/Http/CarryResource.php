<?php

declare(strict_types=1);

namespace App\Carry\Http;

use OpenApi\Attributes as OA;

/** How many to carry, item by item, and the chance that all of it is enough at once. */
#[OA\Schema]
final readonly class CarryResource
{
    /**
     * @param  list<CarriedItem>  $rows  one for each line of the list; none where no list was chosen
     */
    public function __construct(
        #[OA\Property]
        public int $people,
        #[OA\Property]
        public int $days,
        #[OA\Property(enum: ['workplace', 'school', 'sport', 'trip', 'event'])]
        public string $setting,
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
        #[OA\Property(description: 'person-days that the rate of the setting weighs beside own records')]
        public int $weight,
        #[OA\Property(description: 'what the rates of the settings rest on')]
        public string $about,
        #[OA\Property(nullable: true)]
        public ?string $list,
        #[OA\Property(description: 'whether the list says for how many people and days it is made; if not, its quantities are not scaled')]
        public bool $is_scaled,
        #[OA\Property(items: new OA\Items(ref: CarriedItem::class))]
        public array $rows,
    ) {
    }
}
