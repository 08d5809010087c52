<?php

declare(strict_types=1);

namespace App\Builds\Http;

use OpenApi\Attributes as OA;

/** What matters of an item while a kit is packed. */
#[OA\Schema]
final readonly class BuildItem
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property(description: 'grams a piece')]
        public int $mass_g,
        #[OA\Property(nullable: true, description: 'what is done to it before it is packed, as the design wants it')]
        public ?string $task,
    ) {
    }
}
