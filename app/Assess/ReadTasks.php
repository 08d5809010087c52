<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Http\AccountRef;
use App\Assess\Http\TaskResource;
use App\Assess\Models\PlanTask;
use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Provision\TaskKind;

/** The work that follows from a plan, in words: what to make, move, upgrade or retire, and why. */
final class ReadTasks
{
    public function __construct(private readonly Choices $choices, private readonly VehiclePlaces $vehicles)
    {
    }

    /**
     * @param  iterable<PlanTask>  $tasks
     * @return list<TaskResource>
     */
    public function all(iterable $tasks): array
    {
        $short = [];
        $kits = [];
        foreach ($tasks as $task) {
            if ($task->state === 'done' && $task->kit_id !== null) {
                $kits[] = $task->kit_id;
            }
        }
        $findings = $kits === [] ? [] : DB::table('kit_findings')->whereIn('kit_id', array_unique($kits))
            ->where('kind', FindingKind::Short->value)->whereNotNull('line')->get(['kit_id', 'line']);
        $serves = [];
        foreach ($kits === [] ? [] : Kit::query()->whereIn('parent_kit_id', array_unique($kits))->with('edition.design')->get() as $module) {
            $serves["{$module->parent_kit_id} {$module->code}"] = (string) $module->edition->design->serves;
        }
        foreach ($findings as $finding) {
            // Lines of a module have its code before theirs: QH-M1.L1.
            $module = $serves["{$finding->kit_id} ".strstr($finding->line, '.', true)] ?? '';
            $short[$finding->kit_id][$module] = ($short[$finding->kit_id][$module] ?? 0) + 1;
        }
        $resources = [];
        foreach ($tasks as $task) {
            $resources[] = $this->one($task, $short[$task->kit_id ?? ''] ?? []);
        }

        return $resources;
    }

    /** @param  array<string, int>  $short  lines of the kit that are short, by module */
    private function one(PlanTask $task, array $short): TaskResource
    {
        $modules = array_values($task->modules->pluck('module')->all());
        $with = implode(', ', array_map(static fn (string $module): string => lcfirst(Wanted::title($module)), $modules));
        $title = $task->wanted === null ? null : lcfirst(Wanted::title($task->wanted));
        $area = $task->area->name ?? 'no area';
        $place = $this->vehicles->of($task);
        $kit = $task->kit === null ? '' : "{$task->kit->code} {$task->kit->name}";
        [$text, $why] = match ($task->kind) {
            TaskKind::Make => [
                $title === null
                    ? "Make a pouch with {$with} for {$area}"
                    : "Make a {$title}".($with === '' ? '' : " with {$with}")." for {$area}",
                'The plan asks for it, and no kit that is there can serve.',
            ],
            TaskKind::Move => [
                "Move {$kit} to {$area}",
                "The plan asks for a {$title} there, and this kit is not asked for where it is".
                ($task->state === 'open' && $task->kit !== null ? ", {$task->kit->place->path}." : '.'),
            ],
            TaskKind::Upgrade => ["Put into {$kit}: {$with}", "The plan asks for it in {$area}, and no kit there carries it."],
            default => ["Retire {$kit}", 'No area of the plan asks for this kit. Keep it with a reason, or retire it.'],
        };
        $design =
            $task->wanted !== null
                ? $this->choices->of($task->wanted)?->design
                : ($modules === []
                    ? null
                    : $this->choices->of($modules[0])?->design);

        return new TaskResource(
            $task->id,
            $task->kind->value,
            $text,
            $why,
            $task->area?->name,
            $place?->id,
            $place?->path,
            $task->kit?->code,
            $task->kit?->name,
            $task->wanted,
            $modules,
            $design?->id,
            $design?->name,
            $task->state,
            $task->reason,
            $task->closed_on,
            $task->closedBy?->name,
            $task->kind === TaskKind::Make ? $task->kit?->code : null,
            $task->state === 'done' && $task->kit?->retired_on === null
                ? array_sum(array_intersect_key($short, array_flip($modules)))
                : 0,
            AccountRef::of($task->user),
            $task->due_on,
        );
    }
}
