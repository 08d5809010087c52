<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;
use App\Assess\Models\PlanTask;
use App\Kits\ChangeKit;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Kits\MoveModule;
use App\Kits\RetireKit;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Provision\KitSize;
use Sarcina\Core\Provision\TaskKind;

/** Does a task of a plan, or drops it with a reason. A kit to make is made by equipping it. */
final class CloseTask
{
    public function __construct(
        private readonly ChangeKit $change,
        private readonly RetireKit $retire,
        private readonly MoveModule $modules,
        private readonly Choices $choices,
    ) {
    }

    /** @param  string|null  $placeId  where a kit that is moved goes, where the area has several places */
    public function do(PlanTask $task, ?string $placeId, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($task, $placeId, $by, $at, $day): void {
            $task = $this->lock($task);
            $kit = $task->kit ?? throw ValidationException::withMessages(['task' => 'A kit is made by equipping it: open Equip from this task.']);
            match ($task->kind) {
                TaskKind::Move => $this->change->move($kit, $this->place($task, $placeId), $by, $at, $day),
                TaskKind::Upgrade => $this->add($kit, $task->modules->pluck('module')->all(), $by, $at, $day),
                default => ($this->retire)($kit, 'no area of the plan asks for it', [], $by, $at, $day),
            };
            $this->close($task, 'done', null, $by, $day);
        });
    }

    public function drop(PlanTask $task, string $reason, User $by, string $day): void
    {
        Transaction::run(fn () => $this->close($this->lock($task), 'dropped', $reason, $by, $day));
    }

    /** The kit that a task asked for was made. */
    public function made(PlanTask $task, Kit $kit, User $by, CarbonInterface $at, string $day): void
    {
        $task = $this->lock($task);
        if ($task->kind !== TaskKind::Make) {
            throw ValidationException::withMessages(['task' => 'This task does not ask for a new kit.']);
        }
        $this->refuseOtherSize($task, $kit);
        $this->add($kit, $task->modules->pluck('module')->all(), $by, $at, $day);
        $task->kit_id = $kit->id;
        $this->close($task, 'done', null, $by, $day);
    }

    /**
     * Each risk that the kit has no module for yet gets one of the design that is chosen for it.
     *
     * @param  array<array-key, mixed>  $wanted  risks
     */
    private function add(Kit $kit, array $wanted, User $by, CarbonInterface $at, string $day): void
    {
        $held = array_merge(...array_map(
            static fn (Kit $one): array => $one->edition->modules->pluck('module')->all(),
            Kit::query()->with('modules')->findOrFail($kit->id)->whole(),
        ));
        foreach (array_diff(array_map(strval(...), $wanted), $held) as $module) {
            $design = $this->choices->of($module)?->design;
            if ($design === null) {
                throw ValidationException::withMessages([
                    'modules' => 'No design is chosen for the '.lcfirst(Wanted::title($module)).'. Choose one under Assess, lists of the plan.',
                ]);
            }
            $this->modules->make($kit, $design, $by, $at, $day);
        }
    }

    /** A smaller kit, or one of another kind, does not do what the plan asks for. */
    private function refuseOtherSize(PlanTask $task, Kit $kit): void
    {
        $size = $kit->edition->design->provides === null ? null : KitSize::from($kit->edition->design->provides);
        if ($task->wanted !== null && $size?->standsInFor(KitSize::from($task->wanted)) === null) {
            throw ValidationException::withMessages([
                'design_id' => 'The plan asks for a '.
                    lcfirst(Wanted::title($task->wanted)).
                    " here, and a kit of {$kit->edition->design->name} cannot serve as one. Choose another design, or equip it outside the plan.",
            ]);
        }
    }

    private function place(PlanTask $task, ?string $placeId): Place
    {
        $place = $placeId === null ? $task->area?->places->first() : Place::query()->find($placeId);

        return $place ?? throw ValidationException::withMessages(['place_id' => 'Choose the place where the kit goes: the area has none yet.']);
    }

    private function lock(PlanTask $task): PlanTask
    {
        $task = PlanTask::query()->where('id', $task->id)->with(['kit', 'area.places', 'modules'])->lockForUpdate()->firstOrFail();
        if ($task->state !== 'open') {
            throw ValidationException::withMessages(['task' => "This task is {$task->state} already."]);
        }

        return $task;
    }

    private function close(PlanTask $task, string $state, ?string $reason, User $by, string $day): void
    {
        $task->fill(['state' => $state, 'reason' => $reason, 'closed_by_id' => $by->id, 'closed_on' => $day])->save();
    }
}
