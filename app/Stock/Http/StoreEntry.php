<?php

declare(strict_types=1);

namespace App\Stock\Http;

use OpenApi\Attributes as OA;

/** One operation at a store, in words. */
#[OA\Schema]
final readonly class StoreEntry
{
    /** @param  list<string>  $movements */
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $by,
        #[OA\Property(format: 'date-time')]
        public string $done_at,
        #[OA\Property(nullable: true, description: 'the reason, or the supplier and delivery note')]
        public ?string $note,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $movements,
    ) {
    }
}
