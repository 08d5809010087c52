<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Support\Stale;
use App\Support\Transaction;
use App\Tasks\Models\KitTask;
use Illuminate\Validation\ValidationException;

/** Gives work on a kit to somebody who may do it. Sent twice, it is given once. */
final class GiveTask
{
    /** @throws Stale where another task has this id */
    public function __invoke(TaskGiven $given, Kit $kit, User $by, string $day): void
    {
        Transaction::run(function () use ($given, $kit, $by, $day): void {
            $kit = Kit::query()->where('id', $kit->id)->lockForUpdate()->firstOrFail();
            $kit->refuseRetired();
            $known = KitTask::query()->find($given->id);
            if ($known !== null) {
                if ($known->kit_id !== $kit->id || $known->user_id !== $given->userId || $known->given_by_id !== $by->id) {
                    throw new Stale('Another task has this id. Nothing was saved; give the task again.', [], 0);
                }

                return;
            }
            $user = User::query()->findOrFail($given->userId);
            if (! $user->isActive() || ! $user->role->keeps()) {
                throw ValidationException::withMessages(['user_id' => "{$user->name} may not work on kits. Choose a lead or a keeper."]);
            }
            KitTask::query()->create([
                'id' => $given->id, 'kit_id' => $kit->id, 'kind' => $given->kind, 'text' => $given->text, 'user_id' => $user->id,
                'due_on' => $given->dueOn, 'given_by_id' => $by->id, 'given_on' => $day, 'state' => 'open',
            ]);
        });
    }
}
