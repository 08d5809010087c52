<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Staffing\Cover;
use Sarcina\Core\Staffing\Needed;
use Sarcina\Core\Staffing\Posting;

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
        $this->assertSame(Scope::FirstAider, Cover::of(Day::of('2026-01-01'), [], $posted)->scope);
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
}
