<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** An edition of a list, by its number. */
#[OA\Schema]
final readonly class EditionRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $edition,
        #[OA\Property]
        public bool $confirmed,
    ) {
    }
}
