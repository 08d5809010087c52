<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Due\Because;
use Sarcina\Core\Due\CheckKind;
use Sarcina\Core\Due\Due;
use Sarcina\Core\Due\Expiry;
use Sarcina\Core\Due\Interval;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;

final class DueTest extends TestCase
{
    public function test_the_date_that_asks_first_is_not_always_the_earliest(): void
    {
        // The margin of June was seen on the 20th, so June waits for its last day; that of 10 July began on the 26th.
        $dates = [PrintedDate::of('2026-06'), PrintedDate::of('2026-07-10'), PrintedDate::of('2026-05')];
        $this->assertSame('2026-07-10', Expiry::firstToAsk($dates, Day::of('2026-06-20'), 14)?->text);
        $this->assertSame('2026-05', Expiry::firstToAsk($dates, null, 14)?->text);
        $this->assertNull(Expiry::firstToAsk([PrintedDate::of('2026-05')], Day::of('2026-06-20'), 14));
    }

    public function test_a_broken_seal_is_never_answered_by_a_quick_check(): void
    {
        $next = Due::next(new Schedule(
            Day::of('2026-05-01'), every: Interval::days(7), beforeEvents: true, events: [Day::of('2026-05-02')],
            seal: Seal::Broken, sealBrokenOn: Day::of('2026-04-30'), lastFull: Day::of('2026-04-29'), lastQuick: Day::of('2026-05-01'),
        ));
        $this->assertSame([CheckKind::Full, Because::Seal, 1], [$next->kind, $next->because, $next->overdueDays]);
    }

    public function test_a_leap_day_season_falls_on_28_february_in_a_common_year(): void
    {
        $next = Due::next(Schedules::seasonal('2026-01-01', '02-29'));
        $this->assertSame('2026-02-28', (string) $next->day);
        $this->assertSame('2028-02-29', (string) Due::next(Schedules::seasonal('2027-02-28', '02-29'))->day);
    }
}
