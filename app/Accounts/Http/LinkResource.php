<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class LinkResource
{
    public function __construct(
        #[OA\Property(enum: ['invitation', 'password'])]
        public string $kind,
        #[OA\Property]
        public string $organisation,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['lead', 'keeper', 'member', 'auditor'], nullable: true)]
        public ?string $role,
    ) {
    }
}
