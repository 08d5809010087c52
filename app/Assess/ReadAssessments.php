<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\Organisation;
use App\Assess\Http\AreaResource;
use App\Assess\Http\AssessmentRef;
use App\Assess\Http\AssessmentResource;
use App\Assess\Http\AssessmentSummary;
use App\Assess\Http\OverrideResource;
use App\Assess\Http\PartResource;
use App\Assess\Http\PlanResource;
use App\Assess\Http\SeenChange;
use App\Assess\Http\TotalResource;
use App\Assess\Models\AreaChange;
use App\Assess\Models\Assessment;
use App\Assess\Models\AssessmentArea;
use App\Judging\Words;
use App\Kits\Http\PlaceRef;
use App\Lists\ReadLists;
use App\People\ReadCover;

/** Assessments with what follows from them: both plans, their reasons and cost, what changed since the last, and the work. */
final class ReadAssessments
{
    private const WITH = ['areas.places', 'areas.risks', 'areas.overrides.user', 'areas.changesSeen.user'];

    public function __construct(
        private readonly Planner $planner,
        private readonly Choices $choices,
        private readonly ReadTasks $tasks,
        private readonly ReadCover $cover,
        private readonly Organisation $organisation,
    ) {
    }

    /** @return list<AssessmentSummary> newest first */
    public function all(string $today): array
    {
        $assessments = Assessment::query()
            ->withCount(['areas', 'tasks as open_tasks' => fn ($tasks) => $tasks->where('state', 'open')])
            ->with('areas.changesSeen')
            ->orderBy('started_on', 'desc')
            ->orderBy('id', 'desc')
            ->get();

        return array_values(
            $assessments
                ->map(
                    fn (Assessment $one): AssessmentSummary => new AssessmentSummary(
                        $one->id,
                        $one->title,
                        $one->started_on,
                        $one->signed,
                        $one->signed_on,
                        $one->chosen,
                        $one->review_on,
                        (int) $one->getAttribute('areas_count'),
                        (int) $one->getAttribute('open_tasks'),
                        self::asksAgain($one, $today),
                    ),
                )
                ->all(),
        );
    }

    public function one(Assessment $assessment, string $today): AssessmentResource
    {
        $assessment->load([
            ...self::WITH,
            'startedBy',
            'follows.areas.risks',
            'tasks.kit.place',
            'tasks.area.places',
            'tasks.modules',
            'tasks.closedBy',
            'tasks.user',
        ]);
        $plans = $this->planner->plans($assessment);
        $before = $assessment->follows?->areas->keyBy('id');
        $areas = [];
        $costs = ['least' => 0, 'full' => 0];
        $unpriced = 0;
        foreach ($assessment->areas as $area) {
            $areas[] = $made = $this->area(
                $area,
                $plans[$area->id],
                $before?->pull((string) $area->follows_id),
                $assessment->follows_id !== null,
                $today,
            );
            $costs['least'] += $made->least->cost;
            $costs['full'] += $made->full->cost;
            $unpriced += $made->full->unpriced;
        }
        $next = Assessment::query()->where('follows_id', $assessment->id)->first();

        return new AssessmentResource(
            $assessment->id,
            $assessment->title,
            $assessment->scheme->value,
            $assessment->startedBy->name,
            $assessment->started_on,
            $assessment->chosen,
            $assessment->signed,
            $assessment->signed_on,
            $assessment->review_on,
            self::asksAgain($assessment, $today),
            self::ref($assessment->follows),
            self::ref($next),
            $assessment->signed_on === null ? $assessment->areas->sum(PlaceVehicles::missing(...)) : 0,
            $areas,
            array_values($before?->pluck('name')->all() ?? []),
            $this->totals($plans),
            $costs['least'],
            $costs['full'],
            $unpriced,
            $this->organisation->currency,
            $this->tasks->all($assessment->tasks),
        );
    }

    /**
     * Why a signed assessment is to be made again: a year is over, or an area is no longer as it was.
     *
     * @return list<string>
     */
    public static function asksAgain(Assessment $assessment, string $today): array
    {
        if ($assessment->signed_on === null || Assessment::query()->where('follows_id', $assessment->id)->exists()) {
            return [];
        }
        $asks =
            $assessment->review_on !== null && $assessment->review_on <= $today
                ? ['Signed on '.Words::date($assessment->signed_on).', review due since '.Words::date($assessment->review_on).'.']
                : [];
        foreach ($assessment->areas as $area) {
            foreach ($area->changesSeen as $seen) {
                $asks[] = "{$area->name} has changed: {$seen->what}";
            }
        }

        return $asks;
    }

    private static function ref(?Assessment $assessment): ?AssessmentRef
    {
        return $assessment === null ? null : new AssessmentRef($assessment->id, $assessment->title, $assessment->signed_on);
    }

    /** @param  array{least: list<PlannedPart>, full: list<PlannedPart>}  $plans */
    private function area(AssessmentArea $area, array $plans, ?AssessmentArea $before, bool $isLater, string $today): AreaResource
    {
        $named = $area->risks->pluck('risk')->all();
        $place = $area->places->first();
        $where = trim(($place === null ? $area->name : $place->path).($area->hangs_at === null ? '' : ", {$area->hangs_at}"));

        return new AreaResource(
            $area->id,
            $area->name,
            array_values($area->places->map(static fn ($place): PlaceRef => new PlaceRef($place->id, $place->name, $place->path))->all()),
            $area->hangs_at,
            $area->people,
            $area->hazard->value,
            $area->points,
            $area->lone_workers,
            $area->vehicles,
            $area->running_water,
            $area->has_freezer,
            $this->coldPacks($area, $plans['full']),
            $area->children,
            $area->minutes_to_help,
            array_values($named),
            array_values(array_diff(array_column(Planner::risks($area), 'value'), $named)),
            $area->note,
            $area->revision,
            $this->plan($plans['least'], $where),
            $this->plan($plans['full'], $where),
            $isLater && $before === null,
            $before === null ? [] : AreaChanges::between($before, $area),
            array_values(
                $area->changesSeen
                    ->map(static fn (AreaChange $seen): SeenChange => new SeenChange($seen->what, $seen->user->name, $seen->seen_on))
                    ->all(),
            ),
            $this->cover->ofPlaces(array_values($area->places->pluck('id')->all()), $today),
        );
    }

    /**
     * Says what the answer about the freezer means for the cold packs of an area, or asks for the answer.
     *
     * @param  list<PlannedPart>  $parts
     */
    private function coldPacks(AssessmentArea $area, array $parts): ?string
    {
        $modules = array_map(static fn (PlannedPart $part): string => Wanted::title($part->wanted), array_values(array_filter(
            $parts, fn (PlannedPart $part): bool => $part->count() > 0 && $this->choices->hasColdPacks($part->wanted),
        )));

        return $modules === [] ? null : 'Cold packs in: '.implode(', ', $modules).'. '.match ($area->has_freezer) {
            null => 'Answer whether a freezer is near.',
            true => 'Frozen packs from the freezer can be used beside instant ones.',
            false => 'Only instant cold packs work here.',
        };
    }

    /** @param  list<PlannedPart>  $parts */
    private function plan(array $parts, string $where): PlanResource
    {
        $resources = [];
        [$kits, $modules, $cost, $unpriced] = [0, 0, 0, 0];
        foreach ($parts as $part) {
            $choice = $this->choices->of($part->wanted);
            [$each, $without] = $this->choices->cost($part->wanted) ?? [null, 0];
            $isModule = Wanted::isModule($part->wanted);
            $isModule ? $modules += $part->count() : $kits += $part->count();
            $cost += ($each ?? 0) * $part->count();
            $unpriced += $part->count() > 0 ? ($each === null ? 1 : $without) : 0;
            $override = $part->override;
            $resources[] = new PartResource(
                $isModule ? 'module' : 'kit',
                $part->wanted,
                Wanted::title($part->wanted),
                $part->calculated,
                $part->count(),
                $part->because,
                $override === null
                    ? null
                    : new OverrideResource($override->count, $override->reason, $override->user->name, substr($override->decided_at, 0, 10)),
                $choice === null ? null : ReadLists::ref($choice->list),
                $each,
                $without,
                match ($part->wanted) {
                    'travel' => 'with the person who works alone',
                    'vehicle' => 'in the vehicle',
                    default => $isModule ? "in a kit at {$where}" : $where,
                },
            );
        }

        return new PlanResource($resources, $kits, $modules, $cost, $unpriced);
    }

    /**
     * @param  array<string, array{least: list<PlannedPart>, full: list<PlannedPart>}>  $plans
     * @return list<TotalResource>
     */
    private function totals(array $plans): array
    {
        $counts = [];
        foreach ($plans as $area) {
            foreach ($area as $plan => $parts) {
                foreach ($parts as $part) {
                    $counts[$part->wanted][$plan] = ($counts[$part->wanted][$plan] ?? 0) + $part->count();
                }
            }
        }
        $totals = [];
        foreach (Wanted::all() as $wanted) {
            $least = $counts[$wanted]['least'] ?? 0;
            $full = $counts[$wanted]['full'] ?? 0;
            if ($least > 0 || $full > 0) {
                $totals[] = new TotalResource(
                    Wanted::isModule($wanted) ? 'module' : 'kit',
                    $wanted,
                    Wanted::title($wanted),
                    $least,
                    $full,
                    $this->choices->cost($wanted)[0] ?? null,
                );
            }
        }

        return $totals;
    }
}
