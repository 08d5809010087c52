<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class AccountChoice
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['lead', 'keeper'])]
        public string $role,
    ) {
    }
}
