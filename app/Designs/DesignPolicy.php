<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\User;

final class DesignPolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    public function plan(User $user): bool
    {
        return $user->role->plans();
    }
}
