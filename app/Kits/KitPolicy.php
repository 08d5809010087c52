<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;

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

    /** The file of one kit, and what was signed of it: also who answers for it takes that along. */
    public function file(User $user, Kit $kit): bool
    {
        return $user->role->exports() || $this->answersFor($user, $kit);
    }

    public function report(User $user): bool
    {
        return $user->role->reports();
    }

    public function export(User $user): bool
    {
        return $user->role->exports();
    }

    /** Assess, keep the catalogue and lists, bring in files. */
    public function plan(User $user): bool
    {
        return $user->role->plans();
    }

    public function equip(User $user): bool
    {
        return $user->role->plans();
    }

    /** Gives work on a kit to somebody: a lead, and who is responsible for it. */
    public function answerFor(User $user, Kit $kit): bool
    {
        return $user->role->plans() || $this->answersFor($user, $kit);
    }

    private function answersFor(User $user, Kit $kit): bool
    {
        return $user->role->keeps() && in_array($user->id, [$kit->responsible_id, $kit->deputy_id], true);
    }
}
