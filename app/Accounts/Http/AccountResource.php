<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** An account, as a lead sees it. */
#[OA\Schema]
final readonly class AccountResource
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
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $deactivated_on,
        #[OA\Property(description: 'whether a second factor is set up')]
        public bool $has_factor,
        #[OA\Property(nullable: true, description: 'when they signed in last')]
        public ?string $signed_in_at,
        #[OA\Property(description: 'kits that they are responsible for')]
        public int $kits,
        #[OA\Property(description: 'open tasks that they have')]
        public int $tasks,
    ) {
    }
}
