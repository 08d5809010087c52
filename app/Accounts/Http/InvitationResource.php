<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** An invitation that nobody used yet. */
#[OA\Schema]
final readonly class InvitationResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['lead', 'keeper', 'member', 'auditor'])]
        public string $role,
        #[OA\Property]
        public string $until,
    ) {
    }
}
