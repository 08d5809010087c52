<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Due\Band;
use Sarcina\Core\Due\Urgency;

final class UrgencyTest extends TestCase
{
    public function test_days_of_grace_are_not_overdue(): void
    {
        $due = Day::of('2026-03-01');
        $this->assertSame(
            [0, 0, 1],
            array_map(static fn (string $on): int => Urgency::overdueDays($due, 3, Day::of($on)), ['2026-02-01', '2026-03-04', '2026-03-05']),
        );
        $this->assertSame('2026-03-05', (string) Urgency::overdueFrom($due, 3));
        $this->assertSame(
            1,
            Urgency::overdueDays($due, 3, Urgency::overdueFrom($due, 3) ?? $due),
            'The first day that is overdue is overdue by one.',
        );
        $this->assertSame(0, Urgency::overdueDays(null, 0, $due));
        $this->assertNull(Urgency::overdueFrom(null, 0));
    }

    public function test_the_band_of_a_kit(): void
    {
        $today = Day::of('2026-03-14');
        $band = static fn (Verdict $verdict, ?string $due, bool $restock): Band => Urgency::band(
            $verdict,
            $due === null ? null : Day::of($due),
            $restock,
            $today,
        );
        $this->assertSame(Band::Stop, $band(Verdict::NotReady, null, true));
        $this->assertSame(Band::Stop, $band(Verdict::NotReady, '2026-03-28', false));
        $this->assertSame(Band::Now, $band(Verdict::Limited, null, true));
        $this->assertSame(Band::Now, $band(Verdict::Ready, '2026-03-14', false), 'Due today.');
        $this->assertSame(Band::Now, $band(Verdict::Ready, '2026-03-01', false));
        $this->assertSame(Band::Soon, $band(Verdict::Ready, '2026-03-15', false));
        $this->assertSame(Band::Soon, $band(Verdict::Ready, '2026-03-28', false), 'In fourteen days.');
        $this->assertSame(Band::Nothing, $band(Verdict::Ready, '2026-03-29', false));
        $this->assertSame(Band::Later, $band(Verdict::ReadyWithActions, '2026-03-29', true));
        $this->assertSame(Band::Later, $band(Verdict::ReadyWithActions, null, true));
        $this->assertSame(Band::Later, $band(Verdict::NoRequirement, null, false), 'Somebody says what it is for.');
        $this->assertSame(Band::Stop, $band(Verdict::NotReady, null, false), 'Whoever can solve it, it is on the worklist.');
        $this->assertSame(Band::Now, $band(Verdict::NotChecked, '2026-06-14', false));
        $this->assertSame(Band::Later, $band(Verdict::ReadyWithActions, null, false), 'No action is left unlisted.');
        $this->assertSame(Band::Later, $band(Verdict::Ready, null, true), 'It waits for an answer.');
        $this->assertSame(['stop', 'now', 'soon', 'later', 'nothing'], array_map(static fn (Band $band): string => $band->word(), Band::cases()));
        $this->assertSame([0, 1, 2, 3, 4], array_map(static fn (Band $band): int => $band->value, Band::cases()));
    }

    public function test_the_band_stays_through_its_last_days_and_changes_after(): void
    {
        for ($days = -3; $days < 20; $days++) {
            $today = Day::of('2026-03-14');
            $due = $today->plusDays($days);
            $changes = [];
            for ($day = 0; $day < 25; $day++) {
                if (Urgency::band(Verdict::Ready, $due, false, $today->plusDays($day)) !== Urgency::band(Verdict::Ready, $due, false, $today->plusDays($day + 1))) {
                    $changes[] = (string) $today->plusDays($day);
                }
            }
            $this->assertSame($changes, array_map(strval(...), Urgency::lastDays($due, $today)));
        }
        $this->assertSame([], Urgency::lastDays(null, Day::of('2026-03-14')));
    }
}
