<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** Pieces of a lot to put into a pocket. */
#[OA\Schema]
final readonly class PutResource
{
    /** @param  list<string>  $accepts */
    public function __construct(
        #[OA\Property(description: '1 for what is done first')]
        public int $step,
        #[OA\Property]
        public ?string $line,
        #[OA\Property]
        public string $need,
        #[OA\Property]
        public ?string $pocket_id,
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
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public bool $short_dated,
        #[OA\Property]
        public bool $stands_in,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'items in the store that serve as well, best first')]
        public array $accepts,
        #[OA\Property(nullable: true)]
        public ?string $item_class,
        #[OA\Property(nullable: true, description: 'what is done to it before, where the organisation asks for that')]
        public ?string $staging = null,
    ) {
    }
}
