<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces to take out of a pocket. */
#[OA\Schema]
final readonly class TakeResource
{
    /** @param  list<int>  $after */
    public function __construct(
        #[OA\Property(description: '1 for what is done first')]
        public int $step,
        #[OA\Property(items: new OA\Items(type: 'integer'), description: 'steps that are done before it: what replaces pieces that still count')]
        public array $after,
        #[OA\Property]
        public string $pocket_id,
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public string $lot_id,
        #[OA\Property]
        public ?string $lot,
        #[OA\Property]
        public ?string $expires,
        #[OA\Property]
        public ?string $good_until,
        #[OA\Property(enum: ['good', 'opened', 'damaged', 'soiled', 'failed'])]
        public string $condition,
        #[OA\Property(format: 'date')]
        public ?string $opened_on,
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public string $because,
        #[OA\Property(enum: ['discard', 'store'])]
        public string $to,
        #[OA\Property(nullable: true)]
        public ?string $item_class,
    ) {
    }
}
