<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** What an item is called elsewhere. */
#[OA\Schema]
final readonly class OtherName
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true, description: 'where; null: everywhere')]
        public ?string $region,
    ) {
    }
}
