<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;

final class PlacePolicy
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
