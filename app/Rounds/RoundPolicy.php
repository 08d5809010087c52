<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Accounts\Models\User;

final class RoundPolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    public function walk(User $user): bool
    {
        return $user->role->keeps();
    }
}
