<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** Names an item that looks alike, and the mark that tells the two apart; null where no lead has recorded one. */
#[OA\Schema]
final readonly class ToldFrom
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $by,
    ) {
    }
}
