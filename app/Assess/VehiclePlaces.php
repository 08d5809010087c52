<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\PlanTask;
use App\Kits\Models\Place;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Provision\TaskKind;

/** Gives each vehicle kit that a plan asks for a vehicle of its own. */
final class VehiclePlaces
{
    private const VEHICLE = 'vehicle';

    /** @var array<string, array<string, Place>> place by open task, by area */
    private array $byArea = [];

    /** Proposes where the kit of a task goes; null where the area has no vehicle left, or no place at all. */
    public function of(PlanTask $task): ?Place
    {
        if ($task->wanted !== self::VEHICLE || $task->kind !== TaskKind::Make || $task->state !== 'open' || $task->area === null) {
            return $task->area?->places->first();
        }
        $this->byArea[$task->area->id] ??= $this->share($task);

        return $this->byArea[$task->area->id][$task->id] ?? null;
    }

    /** @return array<string, Place> the first task gets the first vehicle without a vehicle kit, and so on */
    private function share(PlanTask $task): array
    {
        $places = $task->area?->places->where('kind', self::VEHICLE) ?? collect();
        $taken = DB::table('kits')->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')
            ->join('designs', 'designs.id', '=', 'design_editions.design_id')->where('designs.provides', self::VEHICLE)
            ->whereNull('kits.retired_on')->whereIn('kits.place_id', $places->pluck('id')->all())->pluck('kits.place_id')->all();
        $free = $places->whereNotIn('id', $taken)->values();
        $tasks = PlanTask::query()->where('assessment_area_id', $task->area?->id)->where('kind', TaskKind::Make)->where('wanted', self::VEHICLE)
            ->where('state', 'open')->orderBy('id')->pluck('id')->all();
        $shared = [];
        foreach ($tasks as $at => $id) {
            if (isset($free[$at])) {
                $shared[(string) $id] = $free[$at];
            }
        }

        return $shared;
    }
}
