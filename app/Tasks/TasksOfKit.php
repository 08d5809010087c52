<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Tasks\Models\KitTask;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What work on a kit means for the tasks that ask for it; within the transaction that records the work. */
final class TasksOfKit
{
    /** The work was done, by whomever: nobody is asked for it any more, and pieces that are no longer there need no replacement. */
    public function done(Kit $kit, TaskKind $kind, User $by, string $day): void
    {
        $ids = array_map(static fn (Kit $one): string => $one->id, $kit->whole());
        $there = DB::table('holdings')->whereIn('kit_id', $ids)->where('quantity', '>', 0)->select('lot_id');
        DB::table('kit_tasks')->where('kit_id', $kit->id)->where('state', 'open')
            ->where(static fn ($any) => $any->where('kind', $kind->value)
                ->orWhere(static fn ($gone) => $gone->where('kind', TaskKind::Replace->value)->whereNotIn('lot_id', $there)))
            ->update(['state' => 'done', 'closed_by_id' => $by->id, 'closed_on' => $day]);
    }

    /** Pieces stay in the kit until something replaces them: that is the work of who left them, until their last good day. */
    public function replaceLater(Kit $kit, string $lotId, int $pieces, string $dueOn, User $by, string $day): void
    {
        $task = KitTask::query()->where('kit_id', $kit->id)->where('lot_id', $lotId)->where('state', 'open')->first();
        if ($task !== null) {
            $task->update(['quantity' => $pieces, 'due_on' => $dueOn]);

            return;
        }
        KitTask::query()->create([
            'id' => Str::lower((string) Str::ulid()), 'kit_id' => $kit->id, 'kind' => TaskKind::Replace, 'user_id' => $by->id, 'due_on' => $dueOn,
            'lot_id' => $lotId, 'quantity' => $pieces, 'given_by_id' => $by->id, 'given_on' => $day, 'state' => 'open',
        ]);
    }
}
