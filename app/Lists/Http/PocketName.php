<?php

declare(strict_types=1);

namespace App\Lists\Http;

use OpenApi\Attributes as OA;

/** A pocket of a design by leaf and name. */
#[OA\Schema]
final readonly class PocketName
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
    ) {
    }
}
