<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\User;
use OpenApi\Attributes as OA;

/** An account, as it is named to colleagues. */
#[OA\Schema]
final readonly class AccountRef
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public bool $is_active,
    ) {
    }

    public static function of(?User $user): ?self
    {
        return $user === null ? null : new self($user->id, $user->name, $user->isActive());
    }
}
