<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** An item in the catalogue's table. */
#[OA\Schema]
final readonly class ItemRow
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $class,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public ?string $caution,
        #[OA\Property]
        public bool $dated,
        #[OA\Property(enum: ['anyone', 'first_aider', 'trained', 'clinician'])]
        public string $scope,
        #[OA\Property]
        public int $in_kits,
        #[OA\Property]
        public int $in_store,
        #[OA\Property]
        public ?int $price,
    ) {
    }
}
