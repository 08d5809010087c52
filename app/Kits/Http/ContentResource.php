<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** Pieces of one lot in one condition in one pocket. */
#[OA\Schema]
final readonly class ContentResource
{
    public function __construct(
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property]
        public ?string $line,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public string $count_unit,
        #[OA\Property]
        public bool $dated,
        #[OA\Property]
        public ?string $lot_id,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public ?string $expires,
        #[OA\Property]
        public ?string $good_until,
        #[OA\Property]
        public int $quantity,
        #[OA\Property(enum: ['good', 'opened', 'damaged', 'soiled', 'failed'])]
        public string $condition,
        #[OA\Property(format: 'date', description: 'of an opened piece, where it is known')]
        public ?string $opened_on,
        #[OA\Property(description: 'for how many days an opened piece is good; null: it is not used once opened')]
        public ?int $opened_life_days,
        #[OA\Property(description: 'opened, and within its life after opening: it counts')]
        public bool $in_use,
        #[OA\Property(description: 'minutes for which it must have been started before it works')]
        public ?int $start_minutes,
        #[OA\Property]
        public ?string $item_class,
        #[OA\Property(description: 'a tool that is asked for when the kit is handed back')]
        public bool $comes_back,
        #[OA\Property(description: 'The order of use, lowest first: pieces of an item that expire first are used first.')]
        public int $use_order,
    ) {
    }
}
