<?php

declare(strict_types=1);

namespace App\Assess\Http;

use OpenApi\Attributes as OA;

/** What somebody saw that is no longer as it was assessed. */
#[OA\Schema]
final readonly class SeenChange
{
    public function __construct(
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $on,
    ) {
    }
}
