<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Judging\JudgeMarked;
use App\Kits\Models\Place;
use App\People\Models\FirstAider;
use App\People\Models\Qualification;
use Sarcina\Core\Check\Verdict;
use Tests\TestCase;

/** First aiders: a kit's scope comes from who is posted to its place, a shortage is said, and records go in time. */
final class PeopleTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private function written(array $but = []): array
    {
        return [
            ...[
                'name' => 'Nele Arbuthnot', 'ended_on' => null,
                'qualifications' => [['scope' => 'first_aider', 'title' => 'First aid at work', 'expires_on' => '2030-01-31']],
                'postings' => [],
            ],
            ...$but,
        ];
    }

    private function place(string $name): Place
    {
        return Place::query()->where('name', $name)->firstOrFail();
    }

    /** The demo's own, and one that nobody serves in. */
    private function keepANight(): void
    {
        $shift = ['weekdays' => [1, 2, 3, 4, 5, 6, 7], 'from' => '22:00', 'to' => '06:00'];
        $this->actAs('lead')->putJson('/api/shifts', ['shifts' => [
            ['was' => 'day', 'name' => 'day', ...$shift], ['was' => 'evening', 'name' => 'evening', ...$shift], ['name' => 'night', ...$shift],
        ]])->assertOk();
    }

    public function test_names_are_for_who_plans_and_numbers_for_everyone(): void
    {
        foreach (['keeper', 'member', 'auditor'] as $role) {
            $this->actAs($role)->getJson('/api/people')->assertForbidden();
            $this->assertStringNotContainsString('Casimir', (string) $this->getJson('/api/cover')->assertOk()->getContent());
            $this->assertStringNotContainsString('Casimir', (string) $this->getJson('/api/asks')->assertOk()->getContent());
        }
        $this->assertContains('Casimir Holt', array_column($this->actAs('lead')->getJson('/api/people')->assertOk()->json('people'), 'name'));
    }

    public function test_a_shortage_is_said_by_place_and_shift(): void
    {
        $this->actAs('member');
        $cover = collect($this->getJson('/api/cover')->json());
        $cafe = $cover->firstWhere('place.name', 'Café');
        $this->assertSame(['day', 'first_aider', 3, 2], [$cafe['shift'], $cafe['scope'], $cafe['needed'], $cafe['there']]);
        $this->assertContains('Café, day shift: 2 of 3 first aiders posted.', array_column($this->getJson('/api/asks')->json(), 'text'));
        $this->assertStringContainsString(
            '1 qualification of first aiders expires within 60 days',
            implode(' ', array_column($this->getJson('/api/asks')->json(), 'text')),
        );
        $this->actAs('lead')->putJson(
            '/api/people/'.$this->ulid(),
            $this->written(['postings' => [['place_id' => $this->place('Café')->id, 'shift' => 'day']]]),
        )->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertSame(3, collect($this->getJson('/api/cover')->json())->firstWhere('place.name', 'Café')['there']);
    }

    public function test_the_scope_of_a_kit_comes_from_who_is_posted_to_its_place(): void
    {
        $this->changesRowsByHand();
        $this->actAs('lead');
        $bag = $this->readKit('QH-08');
        $this->assertSame(['trained', 'as posted to Tree yard in every shift'], [$bag['scope'], $bag['scope_because']]);
        $this->assertSame('set by hand: nobody is posted to its place or asked for there', $this->readKit('QH-10')['scope_because']);
        // Both qualifications run out: what they alone may use is not there any more.
        Qualification::query()->where('scope', 'trained')->update(['expires_on' => now()->subDay()->toDateString()]);
        $this->app?->forgetScopedInstances();
        $after = $this->readKit('QH-08');
        $this->assertSame('anyone', $after['scope']);
        $this->assertSame('not_ready', $after['verdict']['verdict']);
        $this->assertContains('beyond_scope', array_column($after['verdict']['reasons'], 'kind'));
    }

    public function test_a_kit_is_judged_again_on_the_day_after_a_qualification_ran_out(): void
    {
        $this->actAs('lead');
        Qualification::query()->where('scope', 'trained')->update(['expires_on' => Organisation::current()->today()]);
        $this->putJson('/api/people/'.$this->ulid(), $this->written())->assertOk();
        $this->app?->forgetScopedInstances();
        $verdict = fn (): string => (string) collect($this->getJson('/api/kits')->json('kits'))->firstWhere('code', 'QH-08')['verdict'];
        $this->assertNotSame('not_ready', $verdict());
        $this->travel(1)->days();
        $this->app?->forgetScopedInstances();
        $this->assertSame('', $verdict(), 'It is not what was said of yesterday.');
        $this->app->call([new JudgeMarked, 'handle']);
        $this->assertSame('not_ready', $verdict(), 'Nobody may use the haemostatic gauze there any more.');
    }

    public function test_when_the_last_one_goes_what_only_they_could_use_does_not_come_back(): void
    {
        $this->actAs('lead');
        \App\People\Models\CoverNeed::query()->where('place_id', $this->place('Tree yard')->id)->delete();
        foreach (['Casimir Holt', 'Petra Vandrell'] as $name) {
            $this->deleteJson('/api/people/'.FirstAider::query()->where('name', $name)->firstOrFail()->id)->assertOk();
        }
        $this->app?->forgetScopedInstances();
        $this->assertSame(\Sarcina\Core\Kit\Scope::Trained, $this->kit('QH-08')->scope, 'So it was once set by hand.');
        $this->assertSame(['anyone', 'not_ready'], [$this->readKit('QH-08')['scope'], $this->readKit('QH-08')['verdict']['verdict']]);
        $this->assertContains(
            'Tree yard, day shift: 0 of 1 people with special training posted.',
            array_column($this->getJson('/api/asks')->json(), 'text'),
        );
    }

    public function test_a_shift_whose_only_one_goes_is_not_forgotten(): void
    {
        $this->keepANight();
        $yard = $this->place('Tree yard');
        $id = $this->ulid();
        $this->putJson(
            "/api/people/{$id}",
            $this->written([
                'qualifications' => [['scope' => 'trained', 'title' => 'Bleeding control', 'expires_on' => null]],
                'postings' => [['place_id' => $yard->id, 'shift' => 'night']],
            ]),
        )->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertSame('trained', $this->readKit('QH-08')['scope']);
        $this->deleteJson("/api/people/{$id}")->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertSame('anyone', $this->readKit('QH-08')['scope'], 'Two are there by day, and nobody at night.');
        $this->assertContains(
            'Tree yard, night shift: 0 of 1 people with special training posted.',
            array_column($this->getJson('/api/asks')->json(), 'text'),
        );
    }

    public function test_who_stops_counts_through_their_last_day(): void
    {
        $this->changesRowsByHand();
        $this->actAs('lead');
        $today = Organisation::current()->today();
        FirstAider::query()->whereIn('name', ['Casimir Holt', 'Petra Vandrell'])->update(['ended_on' => $today]);
        $this->app?->forgetScopedInstances();
        $this->assertSame('trained', $this->readKit('QH-08')['scope']);
        FirstAider::query()->whereIn('name', ['Casimir Holt', 'Petra Vandrell'])->update(['ended_on' => now()->subDay()->toDateString()]);
        $this->app?->forgetScopedInstances();
        $this->assertSame('anyone', $this->readKit('QH-08')['scope']);
    }

    public function test_a_shift_without_anyone_lowers_what_is_there(): void
    {
        $yard = $this->place('Tree yard');
        $this->keepANight();
        $this->putJson(
            '/api/cover',
            [
                'place_id' => $yard->id,
                'needs' => [['shift' => 'day', 'scope' => 'trained', 'count' => 2], ['shift' => 'night', 'scope' => 'first_aider', 'count' => 1]],
            ],
        )->assertOk();
        $this->app?->forgetScopedInstances();
        $shifts = collect($this->readKit('QH-07')['verdict']['shifts'])->pluck('verdict', 'shift')->all();
        $this->assertArrayHasKey('night', $shifts);
        $this->assertFalse(Verdict::from($shifts['day'])->isWorseThan(Verdict::from($shifts['night'])));
    }

    public function test_bad_records_are_refused_at_their_field(): void
    {
        $this->actAs('lead');
        foreach ([
            'name' => '', 'ended_on' => '31.12.2026',
            'qualifications.0.scope' => [['scope' => 'wizard', 'title' => 'x']],
            'qualifications.0.title' => [['scope' => 'trained', 'title' => '']],
            'postings.0.place_id' => [['place_id' => 'no-such', 'shift' => 'day']], 'shoe_size' => 42,
        ] as $field => $value) {
            $this->putJson('/api/people/'.$this->ulid(), $this->written([explode('.', $field)[0] => $value]))->assertJsonValidationErrors([$field]);
        }
        $this->putJson('/api/people/not-an-id', $this->written())->assertNotFound();
        $this->putJson(
            '/api/cover',
            ['place_id' => $this->place('Café')->id, 'needs' => [['shift' => 'day', 'scope' => 'trained', 'count' => 0]]],
        )->assertUnprocessable();
    }

    public function test_records_about_people_go_in_time(): void
    {
        $this->actAs('lead');
        $count = FirstAider::query()->count();
        $wilma = FirstAider::query()->where('name', 'Wilma Astrand')->firstOrFail();
        $kept = collect($this->getJson('/api/people')->json('people'))->firstWhere('name', 'Wilma Astrand');
        $this->assertNotNull($kept['goes_on']);
        $this->putJson(
            '/api/organisation',
            ['length_unit' => 'cm', 'mass_unit' => 'g', 'volume_unit' => 'ml', 'currency' => 'GBP', 'people_kept_days' => 310],
        )->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertNotContains('Wilma Astrand', array_column($this->getJson('/api/people')->json('people'), 'name'), 'She ended 320 days ago.');
        $this->assertNotNull(FirstAider::query()->find($wilma->id), 'Reading deletes nothing.');
        $this->artisan('people:forget')->expectsOutputToContain('1 records were deleted')->assertExitCode(0);
        $this->assertNull(FirstAider::query()->find($wilma->id));
        $this->assertSame(0, Qualification::query()->where('first_aider_id', $wilma->id)->count());
        $this->assertSame($count - 1, FirstAider::query()->count());
        $this->deleteJson('/api/people/'.FirstAider::query()->where('name', 'Jonas Merribel')->firstOrFail()->id)->assertOk();
        $this->assertSame($count - 2, FirstAider::query()->count());
    }
}
