<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;

/**
 * The next planned check, by season or interval, counted as if a check that is due today, overdue or the first were done today
 * (rules.md, check, at its end). Contents must be good until then.
 */
final class PlannedCheck
{
    /** Finds the day: `asOf` itself where the schedule has neither interval nor season. */
    public static function of(Schedule $schedule): Day
    {
        $planned = $schedule->lastFull === null ? null : self::after($schedule, $schedule->lastFull);

        return $planned?->isAfter($schedule->asOf) === true ? $planned : self::after($schedule, $schedule->asOf) ?? $schedule->asOf;
    }

    /** Finds the last day, from `asOf` on, through which `of` gives the same day. */
    public static function holdsThrough(Schedule $schedule): Day
    {
        $planned = self::of($schedule);

        return self::of($schedule->on($schedule->asOf->plusDays(1)))->equals($planned) ? $planned->plusDays(-1) : $schedule->asOf;
    }

    private static function after(Schedule $schedule, Day $day): ?Day
    {
        $first = $schedule->every?->after($day);
        foreach ($schedule->seasons as $season) {
            $next = $season->firstAfter($day);
            $first = $first === null || $next->isBefore($first) ? $next : $first;
        }

        return $first;
    }
}
