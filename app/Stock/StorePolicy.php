<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\User;

final class StorePolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    /** Receives goods, counts, disposes and moves. */
    public function work(User $user): bool
    {
        return $user->role->keeps();
    }

    public function plan(User $user): bool
    {
        return $user->role->plans();
    }
}
