<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** A class of the tree of items, with how many items are of it or below it, and which lists keep it out or accept it. */
#[OA\Schema]
final readonly class ClassResource
{
    /**
     * @param  list<string>  $excluded_by
     * @param  list<string>  $accepted_by
     */
    public function __construct(
        #[OA\Property]
        public string $class,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $items,
        #[OA\Property]
        public int $below,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $excluded_by,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $accepted_by,
        #[OA\Property(description: 'an expired piece is kept as reserve only where that is said of the item')]
        public bool $reserve_needs_saying,
    ) {
    }
}
