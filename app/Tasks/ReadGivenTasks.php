<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Accounts\Http\AccountRef;
use App\Accounts\Models\User;
use App\Assess\Models\PlanTask;
use App\Assess\ReadTasks;
use App\Judging\Words;
use App\Kits\Models\Kit;
use App\Tasks\Http\GivenTask;
use App\Tasks\Http\GivenTasks;
use App\Tasks\Http\PlannedWork;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use stdClass;

/** Open tasks, the most pressing first: of one kit, of one person, or all. */
final class ReadGivenTasks
{
    private const SHOWN = 30;

    public function __construct(private readonly ReadTasks $tasks)
    {
    }

    public function __invoke(?Kit $kit, ?User $of, string $today): GivenTasks
    {
        $open = DB::table('kit_tasks')->join('kits', 'kits.id', '=', 'kit_tasks.kit_id')->join('users', 'users.id', '=', 'kit_tasks.user_id')
            ->join('users as givers', 'givers.id', '=', 'kit_tasks.given_by_id')
            ->leftJoin('lots', 'lots.id', '=', 'kit_tasks.lot_id')->leftJoin('items', 'items.id', '=', 'lots.item_id')
            ->where('kit_tasks.state', 'open')->whereNull('kits.retired_on')
            ->when($kit !== null, static fn (Builder $rows) => $rows->where('kit_tasks.kit_id', $kit->id ?? ''))
            ->when($of !== null, static fn (Builder $rows) => $rows->where('kit_tasks.user_id', $of->id ?? ''));
        $rows = (clone $open)->orderBy('kit_tasks.due_on')->orderBy('kits.code')->limit(self::SHOWN)->get([
            'kit_tasks.*', 'kits.code', 'kits.name as kit_name', 'users.name as user_name', 'givers.name as giver',
            'items.name as item', 'lots.number as lot',
        ]);
        $tasks = array_values($rows->map(static fn (stdClass $row): GivenTask => new GivenTask(
            $row->id, $row->code, $row->kit_name, $row->kind, self::say($row), $row->user_id, $row->user_name, $row->giver, $row->given_by_id,
            $row->due_on, $row->due_on < $today,
        ))->all());

        return new GivenTasks(
            $tasks, count($tasks) < self::SHOWN ? count($tasks) : $open->count(),
            AccountRef::of($kit?->responsible), AccountRef::of($kit?->deputy), $kit !== null && Gate::allows('answerFor', $kit),
            $kit === null ? $this->plan($of, $today) : [],
        );
    }

    /** @return list<PlannedWork> */
    private function plan(?User $of, string $today): array
    {
        $tasks = PlanTask::query()->where('state', 'open')->where('user_id', $of === null ? '!=' : '=', $of?->id)
            ->with(['kit.place', 'area.places', 'modules', 'user'])->orderBy('due_on')->orderBy('position')->limit(self::SHOWN)->get();
        $said = [];
        foreach ($this->tasks->all($tasks) as $at => $task) {
            $of = $tasks[$at];
            $said[] = new PlannedWork(
                $task->id, $of->assessment_id ?? '', $task->text, $task->user->name ?? '', $task->due_on ?? $today, $task->due_on < $today,
            );
        }

        return $said;
    }

    private static function say(stdClass $row): string
    {
        return match (TaskKind::from($row->kind)) {
            TaskKind::Check => 'Check the kit'.($row->text === null ? '' : ": {$row->text}"),
            TaskKind::Restock => 'Restock the kit'.($row->text === null ? '' : ": {$row->text}"),
            TaskKind::Replace => 'Replace '.Words::number((int) $row->quantity, 'piece')." of {$row->item}".
                ($row->lot === null ? '' : ", lot {$row->lot}").', left in since they still count',
            TaskKind::Other => (string) $row->text,
        };
    }
}
