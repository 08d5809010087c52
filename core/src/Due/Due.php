<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;

/** The `due` rule: when is the next check, of what kind, and why (rules.md, due). */
final class Due
{
    public static function next(Schedule $schedule): NextCheck
    {
        $day = null;
        $because = null;
        foreach (self::asked($schedule) as [$reason, $askedFor]) {
            if ($askedFor !== null && ($day === null || $askedFor->isBefore($day))) {
                $day = $askedFor;
                $because = $reason;
            }
        }
        $kind = $day === null ? null : CheckKind::Full;
        $event = self::eventToCheckFor($schedule);
        if ($event !== null && ($day === null || $event->isBefore($day))) {
            $kind = $schedule->seal === Seal::Intact ? CheckKind::Quick : CheckKind::Full;
            $day = $event;
            $because = Because::Event;
        }

        return new NextCheck($day, $kind, $because, Urgency::overdueDays($day, $schedule->graceDays, $schedule->asOf));
    }

    /** Finds the last day through which the answer stays the same by the calendar alone, or returns null where it always will. */
    public static function holdsThrough(Schedule $schedule, NextCheck $next): ?Day
    {
        return match (true) {
            $next->because === Because::First,
            $next->because === Because::Seal && $schedule->sealBrokenOn === null => $schedule->asOf,
            $next->because === Because::Event => $next->day,
            default => null,
        };
    }

    /** @return list<array{Because, Day|null}> when each reason asks for a full check, in the order that decides a tie */
    private static function asked(Schedule $schedule): array
    {
        $lastFull = $schedule->lastFull;

        return [
            [Because::First, $lastFull === null ? $schedule->asOf : null],
            [Because::Seal, $schedule->seal === Seal::Broken ? $schedule->sealBrokenOn ?? $schedule->asOf : null],
            [Because::Use, $schedule->afterUse ? $schedule->usedOn : null],
            [
                Because::Expiry,
                $schedule->earliestExpiry === null ? null : Expiry::asksOn($schedule->earliestExpiry, $lastFull, $schedule->marginDays),
            ],
            [Because::Season, $lastFull === null ? null : self::firstSeasonAfter($schedule, $lastFull)],
            [Because::Interval, $lastFull === null ? null : $schedule->every?->after($lastFull)],
        ];
    }

    private static function firstSeasonAfter(Schedule $schedule, Day $lastFull): ?Day
    {
        $first = null;
        foreach ($schedule->seasons as $season) {
            $day = $season->firstAfter($lastFull);
            $first = $first === null || $day->isBefore($first) ? $day : $first;
        }

        return $first;
    }

    /** The first event from today on that no check was made for, on its day or the day before. */
    private static function eventToCheckFor(Schedule $schedule): ?Day
    {
        $first = null;
        foreach ($schedule->beforeEvents ? $schedule->events : [] as $event) {
            if ($event->isBefore($schedule->asOf) || self::isAnswered($schedule, $event)) {
                continue;
            }
            $first = $first === null || $event->isBefore($first) ? $event : $first;
        }

        return $first;
    }

    private static function isAnswered(Schedule $schedule, Day $event): bool
    {
        foreach ([$schedule->lastFull, $schedule->lastQuick] as $check) {
            if ($check !== null && ($check->equals($event) || $check->equals($event->plusDays(-1)))) {
                return true;
            }
        }

        return false;
    }
}
