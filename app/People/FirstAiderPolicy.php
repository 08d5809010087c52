<?php

declare(strict_types=1);

namespace App\People;

use App\Accounts\Models\User;

/** Records about people: for who plans alone. */
final class FirstAiderPolicy
{
    public function plan(User $user): bool
    {
        return $user->role->plans();
    }
}
