<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** An edition of a list as it is chosen from all of them. */
#[OA\Schema]
final readonly class ListChoice
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $size,
        #[OA\Property]
        public string $edition,
        #[OA\Property(enum: ['kit', 'module'])]
        public string $kind,
        #[OA\Property]
        public bool $confirmed,
        #[OA\Property]
        public bool $latest,
    ) {
    }
}
