<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;
use App\Assess\Models\Assessment;
use App\Assess\Models\AssessmentArea;
use App\Support\Stale;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Validation\ValidationException;

/** Keeps the answers for an area while the assessment is not signed, and the figures that somebody puts in place of the calculated ones. */
final class AnswerArea
{
    /**
     * @param  array{
     *     name: string, places: list<string>, hangs_at: string|null, people: int, hazard: string, points: int,
     *     lone_workers: int, vehicles: int, running_water: bool, has_freezer?: bool|null, children: int, minutes_to_help: int,
     *     risks: list<string>, note: string|null,
     * }  $answers
     * @param  int  $base  the revision that the answers were based on; 0 for a new area
     *
     * @throws Stale where somebody else answered in the meantime
     */
    public function __invoke(Assessment $assessment, string $id, array $answers, int $base): AssessmentArea
    {
        return Transaction::run(function () use ($assessment, $id, $answers, $base): AssessmentArea {
            $this->refuseSigned($assessment);
            $area = AssessmentArea::query()->where('id', $id)->lockForUpdate()->first();
            if ($area !== null && $area->assessment_id !== $assessment->id) {
                throw ValidationException::withMessages(['name' => 'This area belongs to another assessment. Open that one.']);
            }
            if ($area !== null && $area->revision !== $base) {
                throw new Stale(
                    'Somebody else answered for this area in the meantime. Load the page again and enter your answers on what is there now.',
                    ["{$area->name} is at revision {$area->revision}; yours began with {$base}."],
                    0,
                );
            }
            if ($area === null && $base > 0) {
                throw ValidationException::withMessages([
                    'name' => "{$answers['name']} was removed from this assessment. Add the area again if it is needed.",
                ]);
            }
            $this->refuseTwice($assessment, $id, $answers);
            $area ??= new AssessmentArea([
                'id' => $id,
                'assessment_id' => $assessment->id,
                'position' => (int) $assessment->areas()->max('position') + 1,
                'revision' => 0,
            ]);
            $area->fill([...array_diff_key($answers, ['places' => 0, 'risks' => 0]), 'revision' => $area->revision + 1])->save();
            $area->places()->detach();
            foreach ($answers['places'] as $position => $place) {
                $area->places()->attach($place, ['position' => $position]);
            }
            $area->risks()->delete();
            $area->risks()->createMany(array_map(static fn (string $risk): array => ['risk' => $risk], $answers['risks']));

            return $area;
        });
    }

    public function remove(AssessmentArea $area): void
    {
        Transaction::run(function () use ($area): void {
            $this->refuseSigned($area->assessment);
            $area->delete();
        });
    }

    /** Puts a figure in place of the calculated one, with the reason; null takes it back. `$plan` is least, full or both. */
    public function override(AssessmentArea $area, string $plan, string $wanted, ?int $count, string $reason, User $by, CarbonInterface $at): void
    {
        Transaction::run(function () use ($area, $plan, $wanted, $count, $reason, $by, $at): void {
            $this->refuseSigned($area->assessment);
            $plans = $plan === 'both' ? ['least', 'full'] : [$plan];
            $area->overrides()->whereIn('plan', $plans)->where('wanted', $wanted)->delete();
            foreach ($count === null ? [] : $plans as $one) {
                $area
                    ->overrides()
                    ->create([
                        'plan' => $one,
                        'wanted' => $wanted,
                        'count' => $count,
                        'reason' => $reason,
                        'user_id' => $by->id,
                        'decided_at' => $at->copy()->utc()->format('Y-m-d H:i:s'),
                    ]);
            }
        });
    }

    public function refuseSigned(Assessment $assessment): void
    {
        $assessment = Assessment::query()->where('id', $assessment->id)->lockForUpdate()->firstOrFail();
        if ($assessment->signed_on !== null) {
            throw ValidationException::withMessages([
                'assessment' => 'This assessment is signed and stays as it is. Begin a new one: it goes on from what this one says.',
            ]);
        }
    }

    /** @param  array{name: string, places: list<string>}  $answers */
    private function refuseTwice(Assessment $assessment, string $id, array $answers): void
    {
        $others = AssessmentArea::query()->where('assessment_id', $assessment->id)->where('id', '!=', $id)->with('places')->get();
        foreach ($others as $other) {
            if (mb_strtolower($other->name) === mb_strtolower($answers['name'])) {
                throw ValidationException::withMessages(['name' => 'Another area of this assessment has this name. Give this one another.']);
            }
            foreach ($other->places as $place) {
                if (in_array($place->id, $answers['places'], true)) {
                    throw ValidationException::withMessages([
                        'places' => "{$place->path} is counted to {$other->name} already. A place belongs to one area.",
                    ]);
                }
            }
        }
    }
}
