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
}
