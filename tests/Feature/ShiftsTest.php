<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Judging\JudgeMarked;
use App\Kits\Models\Place;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A kit is judged for each shift of its place, and is as ready as in the worst of them. */
final class ShiftsTest extends TestCase
{
    private const DAY = ['was' => 'day', 'name' => 'day', 'weekdays' => [1, 2, 3, 4, 5, 6, 7], 'from' => '08:00', 'to' => '18:00'];

    private const EVENING = ['was' => 'evening', 'name' => 'evening', 'weekdays' => [5, 6], 'from' => '18:00', 'to' => '22:30'];

    private const NIGHT = ['was' => null, 'name' => 'night', 'weekdays' => [1, 2, 3, 4, 5], 'from' => '22:00', 'to' => '06:00'];

    /** @param  list<array<string, mixed>>  $shifts */
    private function keep(array $shifts): void
    {
        $this->putJson('/api/shifts', ['shifts' => $shifts])->assertOk();
        $this->app?->forgetScopedInstances();
    }

    /** The tree yard has two who are trained by day, and asks for one at night, where nobody is. */
    private function askAtNight(): void
    {
        $this->actAs('lead');
        $this->keep([self::DAY, self::EVENING, self::NIGHT]);
        $this->putJson('/api/cover', ['place_id' => Place::query()->where('name', 'Tree yard')->firstOrFail()->id, 'needs' => [
            ['shift' => 'day', 'scope' => 'trained', 'count' => 2], ['shift' => 'night', 'scope' => 'trained', 'count' => 1],
        ]])->assertOk();
        $this->app?->forgetScopedInstances();
        $this->app?->call([new JudgeMarked, 'handle']);
    }

    private function at(string $time): void
    {
        $this->travelTo(CarbonImmutable::parse(Organisation::current()->today().' '.$time, Organisation::current()->time_zone));
        $this->app?->forgetScopedInstances();
    }

    public function test_the_verdict_is_the_worst_of_the_shifts_and_says_each(): void
    {
        $this->actAs('lead');
        $byDay = $this->readKit('QH-08')['verdict']['verdict'];
        $this->assertNotSame('not_ready', $byDay);
        $this->askAtNight();
        $kit = $this->readKit('QH-08');
        $this->assertSame('not_ready', $kit['verdict']['verdict']);
        $this->assertSame(['anyone', 'as posted to Tree yard in the night shift'], [$kit['scope'], $kit['scope_because']]);
        $this->assertSame(
            [['day', $byDay, 'trained'], ['night', 'not_ready', 'anyone']],
            array_map(static fn (array $one): array => [$one['shift'], $one['verdict'], $one['scope']], $kit['verdict']['shifts']),
        );
        $this->assertSame(
            [['day', $byDay], ['night', 'not_ready']],
            DB::table('kit_shift_states')->where('kit_id', $kit['id'])->orderBy('shift')->get()
                ->map(static fn (\stdClass $row): array => [$row->shift, $row->verdict])->all(),
        );
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-08');
        $this->assertSame('not_ready', $row['verdict'], 'Today says the worst.');
        $this->assertSame([$byDay, 'not_ready'], array_column($row['shifts'], 'verdict'));
        $this->assertSame([], $this->readKit('QH-10')['verdict']['shifts'], 'Nobody is posted to its place.');
    }

    public function test_which_shift_is_on_goes_by_the_clock_of_the_site(): void
    {
        $this->askAtNight();
        $now = fn (): array => array_column(collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-08')['shifts'], 'now');
        // A Wednesday.
        $this->travelTo(CarbonImmutable::parse(Organisation::current()->today())->next(CarbonImmutable::WEDNESDAY));
        foreach (['09:00' => [true, false], '20:00' => [false, false], '23:00' => [false, true]] as $time => $expected) {
            $this->at($time);
            $this->app?->call([new JudgeMarked, 'handle']);
            $this->actAs('lead');
            $this->assertSame($expected, $now(), "At {$time}.");
        }
    }

    public function test_what_is_kept_by_shift_is_held_against_judging_anew(): void
    {
        $this->askAtNight();
        $this->artisan('kits:verify')->assertExitCode(0);
        DB::table('kit_shift_states')->where('kit_id', $this->kit('QH-08')->id)->where('shift', 'night')->update(['verdict' => 'ready']);
        $this->artisan('kits:verify')->expectsOutputToContain('Kit QH-08: its verdict by shift is kept as')->assertExitCode(1);
    }

    public function test_a_shift_takes_its_new_name_everywhere_and_two_may_swap_theirs(): void
    {
        $this->askAtNight();
        $this->keep([['was' => 'night', 'name' => 'day', ...array_slice(self::NIGHT, 2)], ['was' => 'day', 'name' => 'night', ...array_slice(self::DAY, 2)], self::EVENING]);
        $this->assertSame(
            [['day', 'anyone'], ['night', 'trained']],
            array_map(static fn (array $one): array => [$one['shift'], $one['scope']], $this->readKit('QH-08')['verdict']['shifts']),
        );
        $this->assertSame(['day', 'night', 'evening'], array_column($this->getJson('/api/shifts')->json(), 'name'));
    }

    public function test_one_that_people_serve_in_stays(): void
    {
        $this->actAs('lead');
        $this->putJson('/api/shifts', ['shifts' => [self::EVENING]])->assertJsonValidationErrors(['shifts' => 'The shift day stays']);
        $this->assertSame(['day', 'evening'], array_column($this->getJson('/api/shifts')->json(), 'name'));
        $this->keep([self::DAY, self::EVENING, self::NIGHT]);
        $this->keep([self::DAY, self::EVENING]);
        $this->assertSame(['day', 'evening'], array_column($this->getJson('/api/shifts')->json(), 'name'), 'Nobody served at night.');
    }

    public function test_bad_shifts_are_refused_at_their_field(): void
    {
        $this->actAs('lead');
        foreach ([
            'name' => ['', str_repeat('x', 41), "tab\tbed", ['day']], 'weekdays' => [[], [8], 'daily'], 'from' => ['', '8 am', '24:00'], 'to' => [null],
        ] as $field => $values) {
            foreach ($values as $value) {
                $fields = array_keys($this->putJson('/api/shifts', ['shifts' => [[...self::DAY, $field => $value]]])->assertUnprocessable()->json('errors'));
                $this->assertStringStartsWith("shifts.0.{$field}", $fields[0]);
            }
        }
        $this->putJson('/api/shifts', ['shifts' => [self::DAY, self::EVENING, [...self::NIGHT, 'name' => 'DAY']]])
            ->assertJsonValidationErrors(['shifts.2.name' => 'Two shifts have this name']);
        $this->putJson('/api/people/'.$this->ulid(), [
            'name' => 'Nele Arbuthnot', 'qualifications' => [],
            'postings' => [['place_id' => Place::query()->where('name', 'Café')->firstOrFail()->id, 'shift' => 'Day']],
        ])->assertJsonValidationErrors(['postings.0.shift' => 'Choose one of the shifts']);
        foreach (['keeper', 'member', 'auditor'] as $role) {
            $this->actAs($role)->putJson('/api/shifts', ['shifts' => []])->assertForbidden();
            $this->getJson('/api/shifts')->assertOk();
        }
    }
}
