<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** The session: who is signed in, the token that changing requests carry, and what day it is where the kits are. */
#[OA\Schema]
final readonly class SessionResource
{
    public function __construct(
        #[OA\Property]
        public ?UserResource $user,
        #[OA\Property]
        public string $csrf,
        #[OA\Property]
        public string $organisation,
        #[OA\Property]
        public string $time_zone,
        #[OA\Property]
        public string $today,
        #[OA\Property(description: 'whether there is no organisation yet')]
        public bool $needs_setup,
        #[OA\Property(description: 'which record this is: another one after each restore from a backup; empty until the first, and for nobody')]
        public string $record,
    ) {
    }
}
