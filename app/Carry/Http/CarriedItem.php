<?php

declare(strict_types=1);

namespace App\Carry\Http;

use OpenApi\Attributes as OA;

/** How many pieces to carry for one line of a list, and what decides it. */
#[OA\Schema]
final readonly class CarriedItem
{
    public function __construct(
        #[OA\Property]
        public string $line,
        #[OA\Property]
        public string $need,
        #[OA\Property(enum: ['critical', 'required', 'optional'])]
        public string $rank,
        #[OA\Property(nullable: true, description: 'code of the item that is carried; null: nothing in the catalogue serves the line')]
        public ?string $item,
        #[OA\Property(nullable: true)]
        public ?string $name,
        #[OA\Property(enum: ['each', 'pair', 'roll'], description: 'what one piece is')]
        public string $unit,
        #[OA\Property(description: 'pieces that the list asks for as it is written')]
        public int $listed,
        #[OA\Property(description: 'pieces that the list asks for on this trip')]
        public int $list,
        #[OA\Property(description: 'own uses on record in this setting')]
        public int $uses_known,
        #[OA\Property(nullable: true, description: 'uses in 1,000 person-days; null: carried by count alone')]
        public ?string $rate,
        #[OA\Property(nullable: true, description: 'uses in 1,000 person-days that the setting expects')]
        public ?string $setting_rate,
        #[OA\Property(nullable: true, description: 'per cent of the rate that rest on own records')]
        public ?int $own_share,
        #[OA\Property(nullable: true, description: 'own uses in 1,000 person-days are no fewer, with nine chances in ten; null: nothing on record')]
        public ?string $own_least,
        #[OA\Property(nullable: true, description: 'and no more')]
        public ?string $own_most,
        #[OA\Property]
        public int $pieces_per_use,
        #[OA\Property(description: 'uses to be expected')]
        public string $mean,
        #[OA\Property(description: 'uses that the confidence asks to cover')]
        public int $uses,
        #[OA\Property(description: 'pieces to carry')]
        public int $par,
        #[OA\Property(nullable: true, description: 'the total that the line asks for, such as 9 m, where no item turns it into pieces')]
        public ?string $measure,
        #[OA\Property(enum: ['uses', 'list', 'floor'], description: 'what decides how many pieces')]
        public string $from,
        #[OA\Property(nullable: true, description: 'that this item is enough; null: carried by count alone')]
        public ?string $chance,
    ) {
    }
}
