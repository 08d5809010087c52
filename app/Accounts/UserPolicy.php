<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;

/** Accounts are kept by leads; everybody keeps their own. */
final class UserPolicy
{
    public function plan(User $user): bool
    {
        return $user->role->plans();
    }
}
