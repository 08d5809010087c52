<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** Where somebody is signed in. */
#[OA\Schema]
final readonly class OpenSession
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(description: 'the browser and the system, as far as it says')]
        public string $device,
        #[OA\Property]
        public string $address,
        #[OA\Property(format: 'date-time')]
        public string $last_used_at,
        #[OA\Property]
        public bool $is_this,
    ) {
    }
}
