<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** Who is signed in. */
#[OA\Schema]
final readonly class UserResource
{
    /**
     * @param  list<string>  $may
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: ['lead', 'keeper', 'member', 'auditor'])]
        public string $role,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $may,
        #[OA\Property(description: 'whether a second factor has to be set up before anything else')]
        public bool $needs_factor,
    ) {
    }
}
