<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** What an item does not work without. */
#[OA\Schema]
final readonly class NeedResource
{
    /**
     * @param  list<string>  $any_of
     * @param  list<string>  $codes
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $any_of,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $codes,
        #[OA\Property(enum: ['kit', 'each'])]
        public string $per,
        #[OA\Property]
        public int $quantity,
        #[OA\Property]
        public string $reason,
    ) {
    }
}
