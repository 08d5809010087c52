<?php

declare(strict_types=1);

namespace App\Rotations;

use App\Accounts\Models\User;

final class RotationPolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    /** Agrees on a plan, and carries it out. */
    public function work(User $user): bool
    {
        return $user->role->keeps();
    }
}
