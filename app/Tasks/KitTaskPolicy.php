<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Accounts\Models\User;
use App\Tasks\Models\KitTask;

/** A task is closed by who has it, by who gave it, and by a lead. */
final class KitTaskPolicy
{
    public function close(User $user, KitTask $task): bool
    {
        return $user->role->plans() || $user->role->keeps() && in_array($user->id, [$task->user_id, $task->given_by_id], true);
    }
}
