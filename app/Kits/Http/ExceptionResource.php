<?php

declare(strict_types=1);

namespace App\Kits\Http;

use OpenApi\Attributes as OA;

/** That a kit differs from the others of its design on purpose. */
#[OA\Schema]
final readonly class ExceptionResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $reason,
        #[OA\Property(format: 'date')]
        public string $ends_on,
        #[OA\Property]
        public string $made_by,
        #[OA\Property(format: 'date')]
        public string $made_on,
        #[OA\Property(description: 'its day has come')]
        public bool $is_over,
    ) {
    }
}
