<?php

declare(strict_types=1);

namespace App\Builds\Http;

use OpenApi\Attributes as OA;

/** Work that was handed over half done, as the page kept it. */
#[OA\Schema]
final readonly class LeftWork
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(description: 'of the form in which it is kept')]
        public int $version,
        #[OA\Property]
        public string $work,
    ) {
    }
}
