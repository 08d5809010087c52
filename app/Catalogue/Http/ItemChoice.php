<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** An item as it is chosen from the whole catalogue. */
#[OA\Schema]
final readonly class ItemChoice
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $class,
        #[OA\Property]
        public bool $dated,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public ?string $caution,
    ) {
    }
}
