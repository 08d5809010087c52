<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Checked;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Due\Due;
use Sarcina\Core\Due\Expiry;
use Sarcina\Core\Due\HoldsThrough;
use Sarcina\Core\Due\Interval;
use Sarcina\Core\Due\NextCheck;
use Sarcina\Core\Due\PlannedCheck;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;
use Sarcina\Core\Due\Urgency;
use Sarcina\Core\Kit\Policy;

/** The status of random kits, evaluated on each day through the one that is promised. */
final class HoldsThroughTest extends TestCase
{
    public function test_the_status_stays_the_same_through_the_promised_day(): void
    {
        $random = new RandomKits(11);
        [$long, $bounded] = [0, 0];
        for ($kit = 0; $kit < 400; $kit++) {
            $document = RandomKits::read($random->wholeDocument());
            $schedule = $this->schedule($random, $document);
            $today = $document->asOf;
            [$first, $through] = $this->on($document, $schedule, $today);
            $bounded += $through === null ? 0 : 1;
            $last = $through === null ? 200 : min(200, $through->number - $today->number);
            $this->assertGreaterThanOrEqual(0, $last);
            for ($days = 1; $days <= $last; $days++) {
                [$then] = $this->on($document, $schedule, $today->plusDays($days));
                $this->assertSame($first, $then, "Kit {$kit}, {$days} days later, promised through {$through}.");
            }
            $long += $last > 5 ? 1 : 0;
        }
        $this->assertGreaterThan(20, $long, 'Some promises must reach further than a few days, or nothing is tested.');
        $this->assertGreaterThan(300, $bounded);
    }

    public function test_an_overdue_kit_and_one_never_checked_are_evaluated_again_each_day(): void
    {
        $today = Day::of('2026-03-14');
        $monthly = static fn (?string $last): Schedule => new Schedule($today, Interval::months(1), lastFull: $last === null ? null : Day::of($last));
        $this->assertSame(['2026-04-13', '2026-03-14', '2026-03-14'], array_map(
            static fn (?string $last): string => (string) PlannedCheck::holdsThrough($monthly($last)),
            ['2026-03-14', '2026-01-14', null],
        ));
        $yearly = new Schedule($today, seasons: [SeasonDay::of('04-01')], lastFull: Day::of('2024-05-01'));
        $this->assertSame(['2026-04-01', '2026-03-31'], [(string) PlannedCheck::of($yearly), (string) PlannedCheck::holdsThrough($yearly)]);
    }

    /** @return array{array<string, mixed>, Day|null} the whole status on that day, and the last day for which it is promised */
    private function on(Assignment $kit, Schedule $schedule, Day $day): array
    {
        $schedule = $schedule->on($day);
        $next = Due::next($schedule);
        $document = $this->document($kit, $schedule, $next, $day);
        $judgement = Judge::judge($document);
        $findings = array_map(
            static fn (Finding $one): string => "{$one->kind->value} {$one->severity->value} {$one->index} ".($one->line->id ?? $one->item->code ?? ''),
            $judgement->findings,
        );
        sort($findings);
        $status = [
            'verdict' => $judgement->verdict->value, 'judged' => $judgement->judged, 'mass' => $judgement->mass, 'findings' => $findings,
            'restock' => array_map(static fn ($one): array => $one->document(), $judgement->restock),
            'next_check' => (string) $document->policy->nextCheck, 'due' => (string) $next->day, 'kind' => $next->kind, 'because' => $next->because,
            'band' => Urgency::band($judgement->verdict, $next->day, false, $day),
        ];

        return [$status, HoldsThrough::of($day, [$document], [[$schedule, $next]], $next->day)];
    }

    private function document(Assignment $kit, Schedule $schedule, NextCheck $next, Day $day): Assignment
    {
        $policy = new Policy(
            $kit->policy->expiry, PlannedCheck::of($schedule), $kit->policy->marginDays, $kit->policy->notReadyAfterDays, $kit->policy->prepared,
        );
        $checked = $kit->checked === null ? null : new Checked($schedule->lastFull, $next->day);

        return new Assignment($day, $kit->kit, $policy, $kit->items, $kit->list, $kit->counted, $checked, $kit->doubts, $kit->alsoCounted);
    }

    private function schedule(RandomKits $random, Assignment $kit): Schedule
    {
        $day = static fn (array $of): ?Day => ($one = $random->pick($of)) === null ? null : Day::of($one);
        $lastFull = $day([null, '2025-12-31', '2026-02-01', '2026-02-01', '2026-03-10', '2026-03-14']);
        $dates = [];
        foreach ($kit->counted as $row) {
            if ($row->isSound() && $row->lastGoodDay() !== null) {
                $dates[] = PrintedDate::of((string) $row->lastGoodDay());
            }
        }

        return new Schedule(
            $kit->asOf,
            $random->pick([null, Interval::days(10), Interval::weeks(4), Interval::months(3)]),
            $random->pick([[], [], [SeasonDay::of('03-20')], [SeasonDay::of('03-20'), SeasonDay::of('10-15')]]),
            $random->chance(2),
            $random->pick([[], [Day::of('2026-03-20')], [Day::of('2026-03-14'), Day::of('2026-05-02')]]),
            true,
            $day([null, null, '2026-03-11']),
            $random->pick(Seal::cases()),
            $day([null, '2026-03-12']),
            $lastFull,
            $day([null, '2026-03-13']),
            Expiry::firstToAsk($dates, $lastFull, $kit->policy->marginDays),
            $kit->policy->marginDays,
            $random->pick([0, 0, 5]),
        );
    }
}
