<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\OpenedLife;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Due\Interval;

/** The calendar against that of the language, day for day. */
final class CalendarTest extends TestCase
{
    public function test_an_opened_life_in_months_is_the_fewest_days_that_so_many_can_have(): void
    {
        $this->assertSame(
            [28, 59, 89, 120, 150, 181, 212, 242, 273, 303, 334, 365, 393, 730],
            array_map(static fn (int $months): int => OpenedLife::days($months, 'months'), [...range(1, 13), 24]),
        );
        $this->assertSame([1, 90, 14], [OpenedLife::days(1, 'days'), OpenedLife::days(90, 'days'), OpenedLife::days(2, 'weeks')]);
        // Never more than any run of months has, wherever it begins.
        for ($start = Day::of('2023-12-31'); $start->isBefore(Day::of('2028-12-31')); $start = $start->plusDays(1)) {
            foreach ([1, 2, 3, 6, 11, 12, 18] as $months) {
                $this->assertLessThanOrEqual($start->plusMonths($months)->number - $start->number, OpenedLife::days($months, 'months'));
            }
        }
    }

    public function test_every_day_of_many_years_is_numbered_and_written_right(): void
    {
        // All of four centuries' ends and each of the years about today.
        foreach ([
            ['0001-01-01', 800], ['1599-12-25', 800], ['1899-11-01', 500], ['1969-01-01', 800],
            ['1999-12-25', 40_000], ['2399-12-01', 500], ['9998-01-01', 729],
        ] as [$from, $days]) {
            $there = new \DateTimeImmutable($from, new \DateTimeZone('UTC'));
            $day = Day::of($from);
            for ($step = 0; $step < $days; $step++) {
                if ((string) $day !== $there->format('Y-m-d') || $day->number !== intdiv($there->getTimestamp(), 86_400) || Day::of((string) $day)->number !== $day->number) {
                    $this->fail("{$day} is not {$there->format('Y-m-d')}.");
                }
                $there = $there->modify('+1 day');
                $day = $day->plusDays(1);
            }
        }
        $this->assertSame(0, Day::of('1970-01-01')->number);
        $this->assertSame(2026, Day::of('2026-12-31')->year());
        $this->assertSame('2026-03-14', (string) Day::numbered(Day::of('2026-03-14')->number));
    }

    public function test_the_last_day_of_each_month(): void
    {
        foreach ([1900, 2000, 2023, 2024, 2100] as $year) {
            for ($month = 1; $month <= 12; $month++) {
                $last = (new \DateTimeImmutable(sprintf('%04d-%02d-01', $year, $month)))->format('Y-m-t');
                $this->assertSame($last, (string) Day::lastOfMonth($year, $month));
                $this->assertSame($last, (string) PrintedDate::of(substr($last, 0, 7))->lastGoodDay);
                $this->assertSame($last, (string) Day::clamped($year, $month, 31));
            }
        }
    }

    public function test_months_are_added_from_the_day_and_clamped(): void
    {
        $day = Day::of('2026-01-31');
        $this->assertSame(
            ['2026-01-31', '2026-02-28', '2026-03-31', '2026-12-31', '2027-01-31', '2028-02-29'],
            array_map(static fn (int $months): string => (string) $day->plusMonths($months), [0, 1, 2, 11, 12, 25]),
        );
        $this->assertSame('2027-01-15', (string) Day::of('2026-12-15')->plusMonths(1));
    }

    public function test_days_before_the_first_year_are_written_too(): void
    {
        // What is counted back from the first dates there are: the year 0 was a leap year, and begins 719,528 days before 1970.
        foreach ([[-719528, '0000-01-01'], [-719469, '0000-02-29'], [-719468, '0000-03-01'], [-719529, '-001-12-31']] as [$number, $written]) {
            $this->assertSame($written, (string) Day::numbered($number));
        }
    }

    public function test_an_interval_is_months_weeks_or_days(): void
    {
        $day = Day::of('2026-11-27');
        $this->assertSame(
            ['2027-02-27', '2026-12-04', '2027-02-19', '2026-11-28'],
            [
                (string) Interval::months(3)->after($day), (string) Interval::weeks(1)->after($day),
                (string) Interval::weeks(12)->after($day), (string) Interval::days(1)->after($day),
            ],
        );
    }

    public function test_days_compare(): void
    {
        [$one, $next] = [Day::of('2026-03-14'), Day::of('2026-03-15')];
        $this->assertTrue($next->isAfter($one));
        $this->assertTrue($one->isBefore($next));
        $this->assertFalse($one->isAfter($one));
        $this->assertFalse($one->isBefore($one));
        $this->assertTrue($one->equals(Day::of('2026-03-14')));
        $this->assertFalse($one->equals($next));
        $this->assertFalse(PrintedDate::of('2026-03-14')->isPastOn($one));
        $this->assertTrue(PrintedDate::of('2026-03-14')->isPastOn($next));
    }

    public function test_a_season_is_its_first_day_after(): void
    {
        $after = static fn (string $season, string $day): string => (string) SeasonDay::of($season)->firstAfter(Day::of($day));
        $this->assertSame('2026-04-01', $after('04-01', '2026-03-31'));
        $this->assertSame('2027-04-01', $after('04-01', '2026-04-01'));
        $this->assertSame('2028-02-29', $after('02-29', '2027-02-28'));
    }

    public function test_what_is_no_day_is_refused(): void
    {
        $refused = 0;
        $tries = ['2026-2-03', '2026-02-29', '2026-13-01', '2026-00-10', '0000-01-01', '2026-02-01 ', "2026-02-01\n", '20260201', ''];
        foreach ($tries as $text) {
            foreach ([Day::of(...), PrintedDate::of(...), SeasonDay::of(...)] as $read) {
                try {
                    $read($text);
                    $this->fail("\"{$text}\" was taken.");
                } catch (NotADay $no) {
                    $this->assertNotSame('', $no->getMessage());
                    $refused++;
                }
            }
        }
        $this->assertSame(count($tries) * 3, $refused);
        foreach (['2026-13', '2026-00', '0000-01'] as $text) {
            try {
                PrintedDate::of($text);
                $this->fail("\"{$text}\" was taken.");
            } catch (NotADay) {
                $refused++;
            }
        }
        foreach (['13-01', '02-30', '00-01', '4-1'] as $text) {
            try {
                SeasonDay::of($text);
                $this->fail("\"{$text}\" was taken.");
            } catch (NotADay) {
                $refused++;
            }
        }
        $this->assertSame(count($tries) * 3 + 7, $refused);
    }
}
