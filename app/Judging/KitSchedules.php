<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Kits\Models\Kit;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Due\Due as DueRule;
use Sarcina\Core\Due\Expiry;
use Sarcina\Core\Due\NextCheck;
use Sarcina\Core\Due\PlannedCheck;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;

/** Makes the schedules of a kit and its modules, and asks the core when their checks are due. */
final class KitSchedules
{
    public function __construct(private readonly KitContents $contents, private readonly Catalogue $catalogue)
    {
    }

    /**
     * @param  list<ContentRow>  $rows
     * @param  AsChecked|null  $checked  as if a full check were signed on that day
     * @param  list<Disagreement>  $disagreements
     */
    public function of(PlanPart $itself, array $rows, Day $today, ?AsChecked $checked, KitDoubts $doubts, array $disagreements): KitChecks
    {
        $parts = [];
        $all = [];
        $first = null;
        $isUnasked = false;
        foreach ($itself->plan->parts === [] ? [$itself] : $itself->plan->parts as $part) {
            $own = $itself->plan->parts === [] ? $rows : array_filter($rows, $part->holds(...));
            $schedule = $part->kit === null
                ? new Schedule($today, $part->plan->policy->every, $part->plan->policy->seasons)
                : $this->schedule($part->kit, $part->plan, $own, $today, $checked?->opens($part->kit->id) ?? false);
            $next = DueRule::next($schedule);
            $parts[$part->prefix] = new PartCheck($schedule->lastFull, $next->day, $schedule->graceDays, PlannedCheck::of($schedule));
            if ($part->kit === null) {
                continue;
            }
            $all[] = [$schedule, $next];
            $isUnasked = $isUnasked || ($schedule->lastFull === null && $part->prefix !== '' && ! $part->asked($today)->hasRequirement());
            if ($first === null || self::isEarlier($next, $first[0])) {
                $first = [$next, $part->prefix === '' ? null : $part->name, $schedule->graceDays];
            }
        }
        [$next, $dueIn, $grace] = $first ?? [DueRule::next(new Schedule($today)), null, 0];
        $due = Due::of($next);
        foreach (self::reasons($itself, $checked, $doubts, $disagreements) as $because => $day) {
            if ($due->day === null || ! $day->isAfter($due->day)) {
                [$due, $dueIn, $grace] = [Due::since($day, $because, $today), null, 0];
            }
        }
        $own = $parts[''];

        return new KitChecks(
            // A module whose list asks for nothing has no document that could say that it was never checked.
            new PartCheck($isUnasked ? null : $own->lastFull, $due->day, $grace, $own->nextCheck), $parts, $all, $due, $grace, $dueIn,
        );
    }

    /**
     * Finds the application's own reasons for a check, which the `due` rule does not know.
     *
     * @param  list<Disagreement>  $disagreements
     * @return array<string, Day> by reason
     */
    private static function reasons(PlanPart $itself, ?AsChecked $checked, KitDoubts $doubts, array $disagreements): array
    {
        $recheck = null;
        foreach ($itself->plan->parts === [] ? [$itself] : $itself->plan->parts as $part) {
            $on = $part->kit === null || $checked?->opens($part->kit->id) === true ? null : $part->kit->recheck_on;
            $recheck = $on === null || ($recheck !== null && $recheck <= $on) ? $recheck : $on;
        }

        return array_filter([
            Due::REPORT => $doubts->reportedOn(),
            Due::RECHECK => $recheck === null ? null : Day::of($recheck),
            Due::SEAL_DOUBT => $doubts->sealDoubtedOn(),
            Disagreement::KIND => ($disagreements[0] ?? null)?->since,
        ], static fn (?Day $day): bool => $day !== null);
    }

    private static function isEarlier(NextCheck $one, NextCheck $other): bool
    {
        return $one->day !== null && ($other->day === null || $one->day->isBefore($other->day));
    }

    /** @param  array<ContentRow>  $rows */
    private function schedule(Kit $kit, KitPlan $plan, array $rows, Day $today, bool $isChecked): Schedule
    {
        $lastFull = $isChecked ? $today : ($kit->last_full_on === null ? null : Day::of($kit->last_full_on));
        $items = $this->catalogue->items(array_values(array_unique(array_map(static fn (ContentRow $row): string => $row->itemCode, $rows))));
        $dates = [];
        foreach ($rows as $row) {
            $asked = $row->asked('', $items[$row->itemCode]);
            $last = $asked->isSound() ? $asked->lastGoodDay() : null;
            if ($last !== null) {
                $dates[(string) $last] = PrintedDate::of((string) $last);
            }
        }
        $events = $plan->policy->beforeEvents ? $this->contents->eventsOf($kit, $today) : [];

        return new Schedule(
            asOf: $today,
            every: $plan->policy->every,
            seasons: $plan->policy->seasons,
            beforeEvents: $plan->policy->beforeEvents,
            events: $events,
            afterUse: $plan->policy->afterUse,
            usedOn: $isChecked || $kit->used_on === null ? null : Day::of($kit->used_on),
            seal: $isChecked && $kit->seal === Seal::Broken ? Seal::None : $kit->seal,
            sealBrokenOn: $isChecked || $kit->seal_broken_on === null ? null : Day::of($kit->seal_broken_on),
            lastFull: $lastFull,
            lastQuick: $kit->last_quick_on === null ? null : Day::of($kit->last_quick_on),
            earliestExpiry: Expiry::firstToAsk(array_values($dates), $lastFull, $plan->policy->marginDays),
            marginDays: $plan->policy->marginDays,
            graceDays: $plan->policy->graceDays,
        );
    }
}
