<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use OpenApi\Attributes as OA;

/** An item that another is taken for, and by what one tells them apart. */
#[OA\Schema]
final readonly class ToldFrom
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $by,
    ) {
    }
}
