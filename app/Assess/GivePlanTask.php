<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;
use App\Assess\Models\PlanTask;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;

/** Gives a task of a plan to somebody with a day, or takes it back. */
final class GivePlanTask
{
    public function __invoke(PlanTask $task, ?string $userId, ?string $dueOn): void
    {
        Transaction::run(function () use ($task, $userId, $dueOn): void {
            $task = PlanTask::query()->where('id', $task->id)->lockForUpdate()->firstOrFail();
            if ($task->state !== 'open') {
                throw ValidationException::withMessages(['task' => "This task is {$task->state} already."]);
            }
            $user = $userId === null ? null : User::query()->findOrFail($userId);
            // Who makes a kit equips it, which is a lead's.
            if ($user !== null && (! $user->isActive() || ! ($task->kind->value === 'make' ? $user->role->plans() : $user->role->keeps()))) {
                throw ValidationException::withMessages([
                    'user_id' => $task->kind->value === 'make'
                        ? "{$user->name} may not equip a kit. Choose a lead."
                        : "{$user->name} may not work on kits. Choose a lead or a keeper.",
                ]);
            }
            $task->update(['user_id' => $user?->id, 'due_on' => $user === null ? null : $dueOn]);
        });
    }
}
