<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Http\AccountChoice;
use App\Accounts\Http\AccountResource;
use App\Accounts\Http\AccountsResource;
use App\Accounts\Http\InvitationResource;
use App\Accounts\Models\User;
use Illuminate\Support\Facades\DB;
use stdClass;

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

    public function all(?string $link = null): AccountsResource
    {
        $kits = DB::table('kits')->whereNull('retired_on')->whereNotNull('responsible_id')->groupBy('responsible_id')
            ->selectRaw('responsible_id, COUNT(*) AS kits')->pluck('kits', 'responsible_id')->all();
        $tasks = DB::table('kit_tasks')->where('state', 'open')->groupBy('user_id')->selectRaw('user_id, COUNT(*) AS tasks')->pluck('tasks',
            'user_id')->all();
        $users = User::query()->orderByRaw('deactivated_on IS NOT NULL')->orderBy('name')->get();
        $invitations = DB::table('account_links')->where('kind', 'invitation')->whereNull('used_at')->whereNull('withdrawn_at')
            ->where('until', '>', now()->utc()->format('Y-m-d H:i:s'))->orderBy('name')->get(['id', 'name', 'email', 'role', 'until']);

        return new AccountsResource(
            array_values($users->map(static fn (User $user): AccountResource => new AccountResource(
                $user->id, $user->name, $user->email, $user->role->value, $user->deactivated_on, SecondFactor::isSetUp($user),
                $user->signed_in_at === null ? null : "{$user->signed_in_at}Z", (int) ($kits[$user->id] ?? 0), (int) ($tasks[$user->id] ?? 0),
            ))->all()),
            array_values($invitations->map(static fn (stdClass $row): InvitationResource => new InvitationResource(
                $row->id, (string) $row->name, (string) $row->email, (string) $row->role, "{$row->until}Z",
            ))->all()),
            $link,
        );
    }
}
