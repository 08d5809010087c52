<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Http\AccountChoice;
use App\Accounts\Models\User;

/** The accounts of the organisation. */
final class ReadAccounts
{
    /** @return list<AccountChoice> who may be given work on kits */
    public function choices(): array
    {
        $users = User::query()->where('deactivated_on', null)->whereIn('role', [Role::Lead->value, Role::Keeper->value])
            ->orderBy('name')->get();

        return array_values($users->map(static fn (User $user): AccountChoice => new AccountChoice(
            $user->id, $user->name, $user->role->value,
        ))->all());
    }
}
