<?php

declare(strict_types=1);

namespace App\Loans;

use App\Accounts\Models\User;

final class LoanPolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    public function work(User $user): bool
    {
        return $user->role->keeps();
    }
}
