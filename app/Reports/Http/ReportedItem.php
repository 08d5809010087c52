<?php

declare(strict_types=1);

namespace App\Reports\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ReportedItem
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $pieces,
    ) {
    }
}
