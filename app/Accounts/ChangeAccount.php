<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\User;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** What a lead does with an account: its name and role, its end and its return. There is always an active lead. */
final class ChangeAccount
{
    public function __construct(private readonly UserSessions $sessions, private readonly SecondFactor $factor, private readonly SecurityLog $log)
    {
    }

    public function describe(User $user, string $name, Role $role): void
    {
        Transaction::run(function () use ($user, $name, $role): void {
            $user = $this->lock($user);
            if ($user->role === Role::Lead && $role !== Role::Lead) {
                $this->refuseLastLead($user, 'role', 'is the only lead: somebody else has to be one first');
            }
            if (! $role->keeps() && $user->role->keeps()) {
                $this->refuseWork($user, "{$name} is responsible for kits or has open tasks. Give them to somebody else first.");
            }
            $hasOther = $role !== $user->role;
            $user->forceFill(['name' => $name, 'role' => $role])->save();
            // What a role allows is asked anew: its sessions end.
            if ($hasOther) {
                $this->sessions->endAll($user);
                $this->log->write('role changed', null, ['of' => $user->id, 'to' => $role->value]);
            }
        });
    }

    /** Records keep the name; kits and open tasks go to somebody else. */
    public function deactivate(User $user, ?string $handOverTo, string $day): void
    {
        Transaction::run(function () use ($user, $handOverTo, $day): void {
            $user = $this->lock($user);
            if (! $user->isActive()) {
                return;
            }
            if ($user->role === Role::Lead) {
                $this->refuseLastLead($user, 'hand_over_to', 'is the only lead: somebody else has to be one first');
            }
            $other = $handOverTo === null ? null : User::query()->where('id', $handOverTo)->lockForUpdate()->firstOrFail();
            if ($other !== null && ($other->id === $user->id || ! $other->isActive() || ! $other->role->keeps())) {
                throw ValidationException::withMessages(['hand_over_to' => "{$other->name} cannot take it over. Choose another lead or keeper."]);
            }
            if ($other === null) {
                $this->refuseWork($user, "{$user->name} is responsible for kits or has open tasks. Choose who takes them over.");
            } else {
                DB::table('kits')->where('responsible_id', $user->id)->update(['responsible_id' => $other->id]);
                DB::table('kits')->where('deputy_id', $user->id)->update(['deputy_id' => $other->id]);
                // Nobody is their own deputy.
                DB::table('kits')->whereColumn('responsible_id', 'deputy_id')->update(['deputy_id' => null]);
                DB::table('kit_tasks')->where('user_id', $user->id)->where('state', 'open')->update(['user_id' => $other->id]);
                $this->refuseMaking($user, $other);
                DB::table('plan_tasks')->where('user_id', $user->id)->where('state', 'open')->update(['user_id' => $other->id]);
            }
            $user->forceFill(['deactivated_on' => $day])->save();
            $this->sessions->endAll($user);
        });
    }

    public function activate(User $user): void
    {
        Transaction::run(fn () => $this->lock($user)->forceFill(['deactivated_on' => null])->save());
    }

    /** Somebody whose app and recovery codes are gone sets it up anew. */
    public function removeFactor(User $user): void
    {
        $this->factor->remove($user);
        $this->sessions->endAll($user);
    }

    private function lock(User $user): User
    {
        // All leads: two who step down at once do not both find the other.
        $users = User::query()->where('id', $user->id)->orWhere('role', Role::Lead->value)->orderBy('id')->lockForUpdate()->get()->keyBy('id');

        return $users[$user->id];
    }

    private function refuseLastLead(User $user, string $field, string $why): void
    {
        $others = User::query()->where('role', Role::Lead->value)->where('deactivated_on', null)->where('id', '!=', $user->id)->count();
        if ($others === 0) {
            throw ValidationException::withMessages([$field => "{$user->name} {$why}."]);
        }
    }

    /** A kit is made by a lead alone. */
    private function refuseMaking(User $user, User $other): void
    {
        $makes = DB::table('plan_tasks')->where('user_id', $user->id)->where('state', 'open')->where('kind', 'make')->exists();
        if ($makes && ! $other->role->plans()) {
            throw ValidationException::withMessages([
                'hand_over_to' => "{$user->name} has kits of a plan to make, and {$other->name} may not equip any. Choose a lead.",
            ]);
        }
    }

    private function refuseWork(User $user, string $why): void
    {
        $hasWork = DB::table('kits')->whereNull('retired_on')
            ->where(static fn ($any) => $any->where('responsible_id', $user->id)->orWhere('deputy_id', $user->id))->exists()
            || DB::table('kit_tasks')->where('user_id', $user->id)->where('state', 'open')->exists()
            || DB::table('plan_tasks')->where('user_id', $user->id)->where('state', 'open')->exists();
        if ($hasWork) {
            throw ValidationException::withMessages(['hand_over_to' => $why]);
        }
    }
}
