<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\AreaOverride;
use App\Assess\Models\Assessment;
use App\Assess\Models\AssessmentArea;
use Sarcina\Core\Format\AssessmentReader;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Provision\Answers;
use Sarcina\Core\Provision\AreaPlan;
use Sarcina\Core\Provision\Demand;
use Sarcina\Core\Provision\Part;
use Sarcina\Core\Provision\Risk;

/** Asks the core what the areas of an assessment need, and puts the overrides in their place. */
final class Planner
{
    /**
     * @param  list<AssessmentArea>|null  $areas  null: all of the assessment's
     * @return array<string, array{least: list<PlannedPart>, full: list<PlannedPart>}> by area id
     */
    public function plans(Assessment $assessment, ?array $areas = null): array
    {
        $areas ??= array_values($assessment->areas->all());
        $provision = AssessmentReader::read(Json::read(Json::write(self::document($assessment, $areas))));
        $plans = [];
        foreach ($areas as $index => $area) {
            $calculated = $provision->areas[$index];
            $plans[$area->id] = [
                'least' => self::withOverrides($area, 'least', $calculated['least']),
                'full' => self::withOverrides($area, 'full', $calculated['full']),
            ];
        }

        return $plans;
    }

    /**
     * What the assessment says, as the `provision` rule reads it.
     *
     * @param  list<AssessmentArea>  $areas
     * @return array<string, mixed> `sarcina.assessment/1`
     */
    public static function document(Assessment $assessment, array $areas): array
    {
        return [
            'format' => AssessmentReader::FORMAT,
            'scheme' => $assessment->scheme->value,
            'areas' => array_map(
                static fn (AssessmentArea $area): array => [
                    'name' => $area->name,
                    'people' => $area->people,
                    'hazard' => $area->hazard->value,
                    'points' => $area->points,
                    'lone_workers' => $area->lone_workers,
                    'vehicles' => $area->vehicles,
                    'running_water' => $area->running_water,
                    'risks' => array_column(self::risks($area), 'value'),
                ],
                $areas,
            ),
        ];
    }

    /** @return list<Risk> those named, and those that follow from the answers */
    public static function risks(AssessmentArea $area): array
    {
        return Answers::risks(
            $area->children,
            $area->minutes_to_help,
            array_values($area->risks->map(static fn ($named): Risk => Risk::from($named->risk))->all()),
        );
    }

    /**
     * What the chosen plan asks of each area, overrides and all.
     *
     * @return list<Demand>
     */
    public function demands(Assessment $assessment): array
    {
        $demands = [];
        foreach ($this->plans($assessment) as $area => $plans) {
            $counts = [[], []];
            foreach ($plans[$assessment->chosen ?? 'least'] as $part) {
                $counts[(int) Wanted::isModule($part->wanted)][$part->wanted] = $part->count();
            }
            $demands[] = new Demand((string) $area, $counts[0], $counts[1]);
        }

        return $demands;
    }

    /** @return list<PlannedPart> */
    private static function withOverrides(AssessmentArea $area, string $plan, AreaPlan $calculated): array
    {
        $overrides = $area->overrides->where('plan', $plan)->keyBy('wanted');
        $counts = [];
        $because = [];
        foreach ($calculated->parts as $part) {
            /** @var Part $part */
            $counts[$part->name] = ($counts[$part->name] ?? 0) + $part->count;
            $because[$part->name][] = $part->because;
        }
        $parts = [];
        foreach ($counts as $wanted => $count) {
            $parts[] = new PlannedPart($wanted, $count, implode(' ', $because[$wanted]), $overrides->pull($wanted));
        }
        foreach ($overrides as $override) {
            /** @var AreaOverride $override */
            $parts[] = new PlannedPart($override->wanted, 0, 'The answers ask for none.', $override);
        }
        $order = array_flip(Wanted::all());
        usort($parts, static fn (PlannedPart $one, PlannedPart $other): int => $order[$one->wanted] <=> $order[$other->wanted]);

        return $parts;
    }
}
