<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Accounts\Models\User;
use App\Support\Stale;
use App\Support\Transaction;
use App\Tasks\Models\KitTask;

/** Says that a task is done, or takes it back with a reason. */
final class CloseKitTask
{
    /**
     * @param  'done'|'withdrawn'  $state
     *
     * @throws Stale where somebody else closed it otherwise meanwhile
     */
    public function __invoke(KitTask $task, string $state, ?string $outcome, User $by, string $day): void
    {
        Transaction::run(function () use ($task, $state, $outcome, $by, $day): void {
            $task = KitTask::query()->where('id', $task->id)->lockForUpdate()->firstOrFail();
            if ($task->state !== 'open') {
                if ($task->state !== $state || $task->closed_by_id !== $by->id) {
                    throw new Stale('This task was closed in the meantime. Nothing was saved.', [$task->outcome ?? "It is {$task->state}."], 0);
                }

                return;
            }
            $task->update(['state' => $state, 'outcome' => $outcome, 'closed_by_id' => $by->id, 'closed_on' => $day]);
        });
    }
}
