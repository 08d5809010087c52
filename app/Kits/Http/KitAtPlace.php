<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** A kit at a place, and who answers for it. */
#[OA\Schema]
final readonly class KitAtPlace
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property(nullable: true)]
        public ?string $responsible,
    ) {
    }
}
