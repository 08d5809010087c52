<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ToBuyRow
{
    /** @param  list<string>  $kits  the first of their codes */
    public function __construct(
        #[OA\Property(nullable: true, description: 'null where the line names a class of which the catalogue has no item')]
        public ?string $item,
        #[OA\Property]
        public string $what,
        #[OA\Property(description: 'that all kits are missing')]
        public int $missing,
        #[OA\Property(description: 'good pieces in all stores together, in date')]
        public int $in_stores,
        #[OA\Property(description: 'pieces up to which stores below their least are filled')]
        public int $for_stores,
        #[OA\Property(description: 'to buy')]
        public int $pieces,
        #[OA\Property(description: 'whether a critical line is short of it')]
        public bool $is_critical,
        #[OA\Property(nullable: true, description: 'the least that whole packs of them come to, in minor units')]
        public ?int $cost,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $kits,
        #[OA\Property(description: 'kits that are missing it, in all')]
        public int $kits_in_all,
    ) {
    }
}
