<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Models\AssessmentArea;

/** Compares an area with the same area of the assessment before, in words. */
final class AreaChanges
{
    /** @return list<string> */
    public static function between(AssessmentArea $before, AssessmentArea $now): array
    {
        $changes = $before->name === $now->name ? [] : ["Called {$before->name} before."];
        $figures = [
            'people' => 'People at the busiest time',
            'points' => 'Points',
            'lone_workers' => 'Lone workers',
            'vehicles' => 'Vehicles',
            'children' => 'Children',
            'minutes_to_help' => 'Minutes to help',
            'hazard' => 'Hazard',
        ];
        foreach ($figures as $key => $word) {
            if ($before->getAttribute($key) !== $now->getAttribute($key)) {
                $changes[] = "{$word}: {$before->getAttribute($key)} before, now {$now->getAttribute($key)}.";
            }
        }
        if ($before->running_water !== $now->running_water) {
            $changes[] = $now->running_water ? 'There is running water now.' : 'There is no running water any more.';
        }
        if ($before->has_freezer !== $now->has_freezer && $before->has_freezer !== null) {
            $changes[] = $now->has_freezer === true ? 'A freezer is near now.' : 'No freezer is near any more.';
        }
        [$were, $are] = [array_column(Planner::risks($before), 'value'), array_column(Planner::risks($now), 'value')];
        $say = static fn (array $risks): string => implode(', ', array_map(static fn (string $risk): string => str_replace('_', ' ', $risk), $risks));
        if (array_diff($are, $were) !== []) {
            $changes[] = 'New risks: '.$say(array_diff($are, $were)).'.';
        }
        if (array_diff($were, $are) !== []) {
            $changes[] = 'Risks gone: '.$say(array_diff($were, $are)).'.';
        }

        return $changes;
    }
}
