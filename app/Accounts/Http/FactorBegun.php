<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class FactorBegun
{
    public function __construct(
        #[OA\Property(description: 'to type into an authenticator app')]
        public string $secret,
        #[OA\Property(description: 'for the square code')]
        public string $address,
    ) {
    }
}
