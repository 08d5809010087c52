<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;

/** What each role may do with kits: everyone reads, keepers check and restock, leads equip. */
final class KitPolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    public function check(User $user): bool
    {
        return $user->role->keeps();
    }

    public function restock(User $user): bool
    {
        return $user->role->keeps();
    }

    public function export(User $user): bool
    {
        return $user->role->exports();
    }

    public function equip(User $user): bool
    {
        return $user->role->plans();
    }
}
