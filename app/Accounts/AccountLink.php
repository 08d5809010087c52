<?php

declare(strict_types=1);

namespace App\Accounts;

/** A link that is good: who it is for. */
final readonly class AccountLink
{
    /** @param  'invitation'|'password'  $kind */
    public function __construct(
        public string $id,
        public string $kind,
        public ?string $userId,
        public ?string $name,
        public ?string $email,
        public ?string $role,
    ) {
    }
}
