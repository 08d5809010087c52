<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** The kit that another is a module in. */
#[OA\Schema]
final readonly class ModuleOf
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
    ) {
    }
}
