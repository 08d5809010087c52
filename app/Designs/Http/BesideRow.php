<?php

declare(strict_types=1);

namespace App\Designs\Http;

use OpenApi\Attributes as OA;

/** An item in two editions beside each other: how many pieces, and where. */
#[OA\Schema]
final readonly class BesideRow
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $class,
        #[OA\Property]
        public int $one,
        #[OA\Property]
        public string $one_in,
        #[OA\Property]
        public int $other,
        #[OA\Property]
        public string $other_in,
    ) {
    }
}
