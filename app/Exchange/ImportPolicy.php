<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;

/** Files: who plans brings them in, who may export takes them out. */
final class ImportPolicy
{
    public function plan(User $user): bool
    {
        return $user->role->plans();
    }

    public function export(User $user): bool
    {
        return $user->role->exports();
    }
}
