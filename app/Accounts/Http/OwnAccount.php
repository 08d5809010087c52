<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use OpenApi\Attributes as OA;

/** One's own account. */
#[OA\Schema]
final readonly class OwnAccount
{
    /**
     * @param  list<OpenSession>  $sessions
     * @param  list<string>|null  $recovery_codes
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public bool $has_factor,
        #[OA\Property(description: 'whether the organisation asks for one')]
        public bool $factor_required,
        #[OA\Property(description: 'recovery codes that were not used yet')]
        public int $codes_left,
        #[OA\Property(items: new OA\Items(ref: OpenSession::class))]
        public array $sessions,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), nullable: true, description: 'shown once, when a second factor was set up')]
        public ?array $recovery_codes = null,
    ) {
    }
}
