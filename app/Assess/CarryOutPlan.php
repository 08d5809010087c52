<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\Assessment;
use App\Assess\Models\ProvisionChoice;
use App\Designs\DesignFromList;
use App\Designs\Models\Design;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Provision\CarryOut;
use Sarcina\Core\Provision\Task;

/** Turns the difference between a signed plan and the kits that exist into work. Done again, it calculates what is still open anew. */
final class CarryOutPlan
{
    public function __construct(
        private readonly Planner $planner,
        private readonly AreaKits $kits,
        private readonly Choices $choices,
        private readonly DesignFromList $designs,
    ) {
    }

    public function __invoke(Assessment $assessment): Assessment
    {
        return Transaction::run(function () use ($assessment): Assessment {
            $assessment = Assessment::query()
                ->where('id', $assessment->id)
                ->with(['areas.places', 'areas.risks', 'areas.overrides'])
                ->lockForUpdate()
                ->firstOrFail();
            if ($assessment->signed_on === null) {
                throw ValidationException::withMessages(['assessment' => 'Sign the assessment first: its plan may still change.']);
            }
            $this->makeDesigns();
            $given = self::given($assessment);
            $assessment->tasks()->where('state', 'open')->delete();
            $kept = $assessment->tasks()->where('state', 'dropped')->where('kind', 'retire')->pluck('kit_id')->all();
            $position = (int) $assessment->tasks()->max('position');
            foreach (CarryOut::tasks($this->planner->demands($assessment), $this->kits->of($assessment)) as $task) {
                // Who kept a kit with a reason is not asked again.
                if ($task->kind->value !== 'retire' || ! in_array($task->kit, $kept, true)) {
                    $this->keep($assessment, $task, ++$position, $given);
                }
            }

            return $assessment;
        });
    }

    /**
     * What was given to somebody stays theirs as long as the plan asks for it.
     *
     * @return array<string, array{string, string|null}> person and day, by what is asked for
     */
    private static function given(Assessment $assessment): array
    {
        $given = [];
        foreach ($assessment->tasks()->where('state', 'open')->where('user_id', '!=', null)->with('modules')->get() as $task) {
            $modules = array_map(strval(...), $task->modules->pluck('module')->all());
            $given[self::asked($task->kind->value, $task->assessment_area_id, $task->kit_id, $task->wanted, $modules)] = [
                (string) $task->user_id, $task->due_on,
            ];
        }

        return $given;
    }

    /** @param  array<array-key, string>  $modules */
    private static function asked(string $kind, ?string $area, ?string $kit, ?string $wanted, array $modules): string
    {
        sort($modules);

        return implode('|', [$kind, $area, $kit, $wanted, ...$modules]);
    }

    /** @param  array<string, array{string, string|null}>  $given */
    private function keep(Assessment $assessment, Task $task, int $position, array $given): void
    {
        $was = $given[self::asked($task->kind->value, $task->area, $task->kit, $task->size?->value, $task->modules)] ?? [null, null];
        $made = $assessment->tasks()->create([
            'assessment_area_id' => $task->area,
            'position' => $position,
            'kind' => $task->kind->value,
            'kit_id' => $task->kit,
            'wanted' => $task->size?->value,
            'state' => 'open',
            'user_id' => $was[0],
            'due_on' => $was[1],
        ]);
        $made->modules()->createMany(array_map(static fn (string $module): array => ['module' => $module], $task->modules));
    }

    /** Every kind of kit and module can be made: where its list has no design yet, it gets one to begin with. */
    private function makeDesigns(): void
    {
        foreach (ProvisionChoice::query()->where('design_id', null)->with('list')->get() as $choice) {
            $module = Wanted::isModule($choice->wanted);
            $code = substr(str_replace('/', '-', $choice->list->code), 0, 50);
            for ($free = $code, $try = 2; Design::query()->where('code', $free)->exists(); $try++) {
                $free = "{$code}-{$try}";
            }
            $title = $module
                ? Wanted::title($choice->wanted)
                : $choice->list->name();
            $design = ($this->designs)($choice->list, $free, $title, $module ? null : $choice->wanted, $module ? $choice->wanted : null);
            $choice->update(['design_id' => $design->id]);
        }
        $this->choices->forget();
    }
}
