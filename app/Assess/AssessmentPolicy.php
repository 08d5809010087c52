<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;

/** Everyone reads an assessment; all but an auditor may say that an area has changed; who plans writes it, who keeps kits does its work. */
final class AssessmentPolicy
{
    public function view(User $user): bool
    {
        return true;
    }

    public function report(User $user): bool
    {
        return $user->role->reports();
    }

    public function work(User $user): bool
    {
        return $user->role->keeps();
    }

    public function plan(User $user): bool
    {
        return $user->role->plans();
    }
}
