<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Staffing\Cover;
use Sarcina\Core\Staffing\Needed;
use Sarcina\Core\Staffing\Posting;
use Sarcina\Core\Staffing\Shift;

/** Who may use what at a place, and where first aiders are too few. */
final class CoverTest extends TestCase
{
    public function test_a_qualification_counts_through_its_last_day(): void
    {
        $posted = [new Posting('p1', 'day', Scope::Trained, Day::of('2026-11-23'))];
        $this->assertSame(Scope::Trained, Cover::of(Day::of('2026-11-23'), [], $posted)->scope);
        $this->assertSame('2026-11-23', (string) Cover::of(Day::of('2026-11-23'), [], $posted)->holdsThrough);
        $after = Cover::of(Day::of('2026-11-24'), [], $posted);
        $this->assertSame(Scope::Anyone, $after->scope, 'Assigned, but with nothing valid: what is beyond anyone is not there.');
        $this->assertNull($after->holdsThrough);
    }

    public function test_what_one_shift_may_not_use_is_not_there(): void
    {
        $posted = [
            new Posting('p1', 'day', Scope::Clinician, null), new Posting('p2', 'night', Scope::FirstAider, null),
            new Posting('p3', 'night', Scope::Anyone, null),
        ];
        $cover = Cover::of(Day::of('2026-01-01'), [], $posted);
        $this->assertSame(Scope::FirstAider, $cover->scope);
        $this->assertSame(
            [['shift' => 'day', 'scope' => Scope::Clinician], ['shift' => 'night', 'scope' => Scope::FirstAider]],
            $cover->scopes,
            'Each shift by itself.',
        );
        $this->assertSame(
            Scope::Anyone,
            Cover::of(Day::of('2026-01-01'), [new Needed('weekend', Scope::FirstAider, 1)], $posted)->scope,
            'A shift that asks for somebody and has nobody.',
        );
    }

    public function test_where_nobody_is_asked_for_and_nobody_assigned_the_scope_is_open(): void
    {
        $this->assertNull(Cover::of(Day::of('2026-01-01'), [], [])->scope);
    }

    public function test_who_is_asked_for_and_not_there_may_use_nothing(): void
    {
        $cover = Cover::of(Day::of('2026-01-01'), [new Needed('day', Scope::FirstAider, 2)], []);
        $this->assertSame(Scope::Anyone, $cover->scope);
        $this->assertSame(0, $cover->shifts[0]['there']);
    }

    public function test_a_person_counts_once_and_higher_training_serves_the_lower_need(): void
    {
        $posted = [
            new Posting('p1', 'day', Scope::FirstAider, Day::of('2027-01-01')), new Posting('p1', 'day', Scope::Trained, Day::of('2026-06-01')),
            new Posting('p2', 'day', Scope::FirstAider, null), new Posting('p3', 'late', Scope::Clinician, null),
        ];
        $needs = [new Needed('day', Scope::FirstAider, 3), new Needed('day', Scope::Trained, 1), new Needed('late', Scope::Trained, 1)];
        $there = static fn (string $day): array => array_map(
            static fn (array $shift): int => $shift['there'],
            Cover::of(Day::of($day), $needs, $posted)->shifts,
        );
        $this->assertSame([2, 1, 1], $there('2026-06-01'));
        $this->assertSame([2, 0, 1], $there('2026-06-02'));
    }

    public function test_a_shift_is_on_from_its_first_minute_to_before_its_last_also_over_midnight(): void
    {
        $monday = Day::of('2026-11-30');
        $day = new Shift('day', [1, 2, 3, 4, 5], 8 * 60, 16 * 60);
        $night = new Shift('night', [1, 5], 22 * 60, 6 * 60);
        $whole = new Shift('sunday', [7], 0, 0);
        $this->assertSame([false, true, true, false], array_map(static fn (int $at): bool => $day->isOn($monday, $at), [479, 480, 959, 960]));
        $this->assertFalse($day->isOn($monday->plusDays(-1), 600), 'A Sunday.');
        $this->assertTrue($night->isOn($monday, 1320));
        $this->assertFalse($night->isOn($monday, 359), 'It did not begin on the Sunday.');
        $this->assertTrue($night->isOn($monday->plusDays(1), 359));
        $this->assertFalse($night->isOn($monday->plusDays(1), 360));
        $this->assertFalse($night->isOn($monday->plusDays(1), 1320), 'It does not begin on a Tuesday.');
        $this->assertTrue($whole->isOn($monday->plusDays(-1), 0));
        $this->assertTrue($whole->isOn($monday->plusDays(-1), 1439));
        $this->assertFalse($whole->isOn($monday, 0), 'From midnight to midnight is one day.');
        $this->assertSame([4, 3, 7], array_map(static fn (string $at): int => Day::of($at)->weekday(), ['1970-01-01', '1969-12-31', '2026-11-29']));
    }
}
