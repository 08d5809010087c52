<?php

declare(strict_types=1);

namespace App\Reports\Http;

use OpenApi\Attributes as OA;

/** An item that may be named in a report without an account: its name and nothing else. */
#[OA\Schema]
final readonly class ReportableItem
{
    public function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property]
        public string $name,
    ) {
    }
}
