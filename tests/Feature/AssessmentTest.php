<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Assess\Models\Assessment;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Rule;
use Tests\TestCase;

/** From the answers about a site to the kits that its plan asks for. */
final class AssessmentTest extends TestCase
{
    /** @return array<string, mixed> the demo's signed assessment of this year */
    private function current(): array
    {
        return $this->getJson('/api/assessments/'.Assessment::query()->orderBy('started_on', 'desc')->firstOrFail()->id)->assertOk()->json();
    }

    /** @return array<string, mixed> */
    private function start(string $title = 'Next year'): array
    {
        return $this->postJson('/api/assessments', ['id' => $this->ulid(), 'title' => $title, 'scheme' => 'headcount'])->assertCreated()->json();
    }

    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private function answers(array $but = []): array
    {
        return [...[
            'base' => 0, 'name' => 'Rose terrace', 'places' => [], 'hangs_at' => null, 'people' => 30, 'hazard' => 'low', 'points' => 1, 'lone_workers' => 0, 'vehicles' => 0, 'running_water' => true,
            'children' => 0, 'minutes_to_help' => 10, 'risks' => [], 'note' => null,
        ], ...$but];
    }

    /**
     * @param  array<string, mixed>  $area
     * @return array<string, int> by what is wanted
     */
    private static function counts(array $area, string $plan): array
    {
        return array_column($area[$plan]['parts'], 'count', 'wanted');
    }

    public function test_the_demo_site_has_six_areas_both_plans_and_one_override_with_its_reason(): void
    {
        $site = $this->actAs('member')->current();
        $this->assertCount(6, $site['areas']);
        $areas = collect($site['areas'])->keyBy('name');
        $this->assertSame(['medium' => 2, 'children' => 1], self::counts($areas['Visitor centre'], 'least'));
        $this->assertSame(['medium' => 2, 'children' => 2], self::counts($areas['Visitor centre'], 'full'));
        $this->assertSame(['small' => 1, 'medium' => 1, 'heat' => 1, 'bite_sting' => 1], self::counts($areas['Glasshouses'], 'least'));
        $this->assertSame(['medium' => 1, 'severe_bleeding' => 3, 'cold' => 1, 'no_running_water' => 1], self::counts($areas['Tree yard'], 'least'));
        $overridden = collect($areas['Tree yard']['least']['parts'])->firstWhere('wanted', 'severe_bleeding');
        $this->assertSame([1, 3, 'Maren Oduya'], [$overridden['calculated'], $overridden['count'], $overridden['override']['by']]);
        $this->assertStringContainsString('harness', $overridden['override']['reason']);
        $this->assertSame(3, self::counts($areas['Tree yard'], 'full')['severe_bleeding'], 'In both plans.');
        $this->assertSame(
            ['small' => 1, 'travel' => 3, 'vehicle' => 3, 'bite_sting' => 1, 'no_running_water' => 1],
            self::counts($areas['Grounds, walks and vehicles'], 'least'),
        );
        $this->assertGreaterThan($site['cost_least'], $site['cost_full']);
        $this->assertContains('People at the busiest time: 48 before, now 60.', $areas['Visitor centre']['changes']);
        $this->assertContains('New risks: sharps.', $areas['Café kitchen']['changes']);
        $this->assertSame(['Café kitchen has changed: A second fryer stands beside the first.'], $site['asks_again']);
    }

    public function test_the_plan_of_the_page_is_the_answer_of_the_rule(): void
    {
        $site = $this->actAs('auditor')->current();
        $answer = json_decode(
            (string) json_encode(Rule::Provision->answer((string) $this->getJson("/api/assessments/{$site['id']}/file")->assertOk()->getContent())),
            true,
        );
        foreach ($site['areas'] as $index => $area) {
            foreach (['least', 'full'] as $plan) {
                $calculated = array_filter(array_column($area[$plan]['parts'], 'calculated', 'wanted'));
                $said = [...$answer['areas'][$index][$plan]['kits'], ...$answer['areas'][$index][$plan]['modules']];
                ksort($calculated);
                ksort($said);
                $this->assertSame($said, $calculated, "{$area['name']}, {$plan}");
            }
        }
    }

    public function test_answers_change_the_plan_at_once(): void
    {
        $this->actAs('lead');
        $new = $this->start();
        $this->assertCount(6, $new['areas'], 'It goes on from the last.');
        $this->assertSame([], $new['areas'][0]['changes']);
        $id = $this->ulid();
        $area = fn (array $answers): array => collect($this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $answers)->assertOk()->json('areas'))->firstWhere('id', $id);
        $this->assertSame(['medium' => 1], self::counts($made = $area($this->answers()), 'least'));
        $this->assertTrue($made['is_new']);
        $this->assertSame('1 medium kit: 30 people at low hazard, 25 to 100.', $made['least']['parts'][0]['because']);
        $this->assertSame(['small' => 1], self::counts($area($this->answers(['base' => 1, 'people' => 24])), 'least'));
        $later = $area($this->answers([
            'base' => 2, 'people' => 24, 'children' => 3, 'minutes_to_help' => 31, 'points' => 2,
            'running_water' => false, 'risks' => ['burn'],
        ]));
        $this->assertSame(['small' => 2, 'burn' => 1, 'children' => 1, 'remote' => 1, 'no_running_water' => 1], self::counts($later, 'least'));
        $this->assertSame(['children', 'remote'], $later['follows_risks']);
        $this->assertSame(['small' => 2, 'burn' => 2, 'children' => 2, 'remote' => 2, 'no_running_water' => 2], self::counts($later, 'full'));
        $this->putJson("/api/assessments/{$new['id']}", ['title' => 'By class', 'scheme' => 'class'])->assertOk();
        $this->assertSame(
            2,
            self::counts(collect($this->getJson("/api/assessments/{$new['id']}")->json('areas'))->firstWhere('id', $id), 'least')['class-a'],
        );
        $this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $this->answers(['base' => 1]))->assertConflict();
        $this->postJson("/api/areas/{$id}/changes", ['what' => 'A pond was dug.'])->assertOk();
        $this->deleteJson("/api/areas/{$id}")->assertOk();
        $this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $this->answers(['base' => 3]))->assertUnprocessable();
        $this->assertCount(6, $this->getJson("/api/assessments/{$new['id']}")->json('areas'), 'Answers that arrive late do not bring a removed area back.');
    }

    public function test_it_asks_for_a_freezer_where_a_module_has_cold_packs_and_says_what_the_answer_means(): void
    {
        $this->actAs('lead');
        [$new, $id] = [$this->start(), $this->ulid()];
        $answer = fn (array $answers): array => collect($this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $this->answers($answers))
            ->assertOk()->json('areas'))->firstWhere('id', $id);
        $this->assertNull($answer(['risks' => ['burn']])['cold_packs'], 'Burns are cooled with water.');
        $asked = $answer(['base' => 1, 'risks' => ['heat']]);
        $this->assertSame([null, 'Cold packs in: Heat module. Answer whether a freezer is near.'], [$asked['has_freezer'], $asked['cold_packs']]);
        $none = $answer(['base' => 2, 'risks' => ['heat'], 'has_freezer' => false]);
        $this->assertSame([false, 'Cold packs in: Heat module. Only instant cold packs work here.'], [$none['has_freezer'], $none['cold_packs']]);
        $this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $this->answers(['base' => 3, 'has_freezer' => 'maybe']))
            ->assertUnprocessable()->assertJsonValidationErrorFor('has_freezer');
        $this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $this->answers(['base' => 3, 'has_freezer' => null]))->assertOk();
    }

    public function test_each_vehicle_becomes_a_place_and_each_vehicle_kit_gets_one_of_its_own(): void
    {
        $this->actAs('lead');
        [$new, $id] = [$this->start(), $this->ulid()];
        $seen = $this->putJson("/api/assessments/{$new['id']}/areas/{$id}", $this->answers(['vehicles' => 3]))->assertOk()->json();
        $this->assertSame(3, $seen['vehicles_to_place']);
        $signature = ['chosen' => 'least', 'signed' => 'Maren Oduya'];
        $signed = $this->putJson("/api/assessments/{$new['id']}/signature", $signature)->assertOk()->json();
        $this->assertSame(0, $signed['vehicles_to_place']);
        $vehicles = ['Vehicle 1', 'Vehicle 2', 'Vehicle 3'];
        $this->assertSame($vehicles, array_column(collect($signed['areas'])->firstWhere('id', $id)['places'], 'name'));
        $this->putJson("/api/assessments/{$new['id']}/signature", $signature)->assertUnprocessable();
        $this->assertSame(3, Place::query()->where('name', 'like', 'Vehicle %')->count(), 'Signed twice, each is there once.');
        $tasks = $this->postJson("/api/assessments/{$new['id']}/tasks")->assertOk()->json('tasks');
        $this->assertSame($vehicles, array_column(array_filter($tasks, static fn (array $task): bool => $task['area'] === 'Rose terrace' && $task['wanted'] === 'vehicle'), 'place'));
        $this->artisan('ledger:verify')->assertSuccessful();
    }

    public function test_bad_answers_are_refused_at_their_field(): void
    {
        $this->actAs('lead');
        $new = $this->start();
        $place = Place::query()->where('name', 'Visitor centre')->firstOrFail();
        foreach ([
            'name' => '', 'people' => -1, 'hazard' => 'medium', 'points' => 0, 'vehicles' => 1.5,
            'risks.0' => ['thorns'], 'running_water' => 'yes', 'minutes_to_help' => 9999, 'colour' => 'blue',
        ] as $field => $value) {
            $key = explode('.', $field)[0];
            $this->putJson(
                "/api/assessments/{$new['id']}/areas/{$this->ulid()}",
                $this->answers([$key => $value]),
            )->assertUnprocessable()->assertJsonValidationErrors([$field]);
        }
        $this->putJson(
            "/api/assessments/{$new['id']}/areas/{$this->ulid()}",
            $this->answers(['name' => 'visitor centre']),
        )->assertJsonValidationErrors(['name']);
        $this->putJson(
            "/api/assessments/{$new['id']}/areas/{$this->ulid()}",
            $this->answers(['places' => [$place->id]]),
        )->assertJsonValidationErrors(['places']);
        $this->putJson("/api/assessments/{$new['id']}/areas/not-an-id", $this->answers())->assertNotFound();
        $this->assertCount(6, $this->getJson("/api/assessments/{$new['id']}")->json('areas'));
    }

    public function test_a_figure_is_overridden_with_a_reason_or_not_at_all(): void
    {
        $this->actAs('lead');
        $new = $this->start();
        $area = $new['areas'][2]['id'];
        $this->putJson("/api/areas/{$area}/override", ['plan' => 'least', 'wanted' => 'small', 'count' => 2])->assertJsonValidationErrors(['reason']);
        $this->putJson(
            "/api/areas/{$area}/override",
            ['plan' => 'least', 'wanted' => 'huge', 'count' => 2, 'reason' => 'x'],
        )->assertJsonValidationErrors(['wanted']);
        $changed = $this->putJson(
            "/api/areas/{$area}/override",
            ['plan' => 'least', 'wanted' => 'small', 'count' => 2, 'reason' => 'The servery is behind a locked door.'],
        )->assertOk()->json();
        $part = collect($changed['areas'][2]['least']['parts'])->firstWhere('wanted', 'small');
        $this->assertSame([1, 2, 'The servery is behind a locked door.'], [$part['calculated'], $part['count'], $part['override']['reason']]);
        $this->assertSame($new['cost_least'] + $part['each'], $changed['cost_least']);
        // One that no answer asks for may be added, and taken back.
        $added = $this->putJson("/api/areas/{$area}/override", ['plan' => 'full', 'wanted' => 'eye', 'count' => 1, 'reason' => 'Descaler.'])->json();
        $this->assertSame(
            [0, 1],
            [
                collect($added['areas'][2]['full']['parts'])->firstWhere('wanted', 'eye')['calculated'],
                self::counts($added['areas'][2], 'full')['eye'],
            ],
        );
        $back = $this->putJson("/api/areas/{$area}/override", ['plan' => 'full', 'wanted' => 'eye', 'count' => null])->assertOk()->json();
        $this->assertArrayNotHasKey('eye', self::counts($back['areas'][2], 'full'));
    }

    public function test_a_signed_assessment_stays_and_is_asked_for_again_after_a_year(): void
    {
        $this->actAs('lead');
        $new = $this->start();
        $this->postJson('/api/assessments', ['id' => $this->ulid(), 'title' => 'Another', 'scheme' => 'class'])->assertUnprocessable();
        $this->postJson("/api/assessments/{$new['id']}/tasks")->assertUnprocessable();
        $this->putJson(
            "/api/assessments/{$new['id']}/signature",
            ['chosen' => 'some', 'signed' => ''],
        )->assertJsonValidationErrors(['chosen', 'signed']);
        $signed = $this->putJson("/api/assessments/{$new['id']}/signature", ['chosen' => 'full', 'signed' => 'M. Oduya'])->assertOk()->json();
        $this->assertSame(['full', 'M. Oduya'], [$signed['chosen'], $signed['signed']]);
        $this->assertSame(\Carbon\CarbonImmutable::parse($signed['signed_on'])->addYearNoOverflow()->toDateString(), $signed['review_on']);
        $area = $signed['areas'][0]['id'];
        $this->putJson(
            "/api/assessments/{$new['id']}/areas/{$area}",
            $this->answers(['base' => $signed['areas'][0]['revision'], 'name' => 'Visitor centre']),
        )->assertUnprocessable();
        $this->putJson("/api/areas/{$area}/override", ['plan' => 'least', 'wanted' => 'small', 'count' => 2, 'reason' => 'x'])->assertUnprocessable();
        $this->deleteJson("/api/areas/{$area}")->assertUnprocessable();
        $this->putJson("/api/assessments/{$new['id']}", ['title' => 'x', 'scheme' => 'class'])->assertUnprocessable();
        $this->assertSame([], $this->getJson("/api/assessments/{$new['id']}")->json('asks_again'));
        // Anyone may say that something changed.
        $this->actAs('member')->postJson("/api/areas/{$area}/changes", ['what' => ''])->assertUnprocessable();
        $this->postJson("/api/areas/{$area}/changes", ['what' => 'The cloakroom is a workshop now.'])->assertOk();
        $this->assertStringContainsString(
            'Visitor centre has changed: The cloakroom',
            implode(' ', array_column($this->getJson('/api/asks')->json(), 'text')),
        );
        Assessment::query()->where('id', $new['id'])->update(['review_on' => now()->toDateString()]);
        $this->assertStringContainsString('review due since', implode(' ', array_column($this->getJson('/api/asks')->json(), 'text')));
        // Until the next one goes on from it.
        $this->actAs('lead')->start('And the next');
        $this->assertSame([], $this->getJson("/api/assessments/{$new['id']}")->json('asks_again'));
    }

    public function test_the_plan_becomes_work_and_the_work_is_done(): void
    {
        $this->actAs('lead');
        $site = $this->current();
        $work = $this->postJson("/api/assessments/{$site['id']}/tasks")->assertOk()->json('tasks');
        $said = array_column($work, 'text');
        sort($said);
        $this->assertSame([
            'Make a small kit with rinsing module for Grounds, walks and vehicles',
            'Put into QH-05 Kitchen burns box: sharps module',
            'Put into QH-07 Tree crew bag: cold module, rinsing module',
        ], $said);
        $this->assertSame([], array_filter($work, static fn (array $task): bool => $task['kind'] === 'retire'));

        // An upgrade puts the module's lines into the kit; it lacks them until it is restocked.
        $upgrade = collect($work)->firstWhere('kit', 'QH-05');
        $before = count($this->readKit('QH-05')['verdict']['lines']);
        $this->putJson("/api/tasks/{$upgrade['id']}", ['state' => 'done'])->assertOk();
        $this->app?->forgetScopedInstances();
        $kit = $this->readKit('QH-05');
        $this->assertSame($before + 6, count($kit['verdict']['lines']));
        $this->assertSame('not_ready', $kit['verdict']['verdict'], 'The sharps box is critical, and not there yet.');
        $filling = fn (): int => collect($this->getJson("/api/assessments/{$site['id']}")->json('tasks'))->firstWhere('id', $upgrade['id'])['lines_to_fill'];
        $this->assertSame(5, $filling(), 'Work is left until it is filled; one line is optional.');
        $module = collect($kit['modules'])->firstOrFail();
        $this->assertContains("{$module['code']} Sharps module", array_column($kit['leaves'], 'name'));
        $this->assertNotContains(
            "{$module['code']} Sharps module",
            array_column(collect($this->getJson('/api/designs')->json())->firstWhere('code', 'kitchen')['leaves'], 'name'),
            'The design without the module has no such leaf.',
        );
        $this->assertContains(
            "{$module['code']}.L1",
            array_column($this->getJson('/api/kits/QH-05/restock')->json('in'), 'line') + array_column(
                $this->getJson('/api/kits/QH-05/restock')->json('missing'),
                'line',
            ),
        );
        $this->putJson("/api/tasks/{$upgrade['id']}", ['state' => 'done'])->assertUnprocessable();
        $check = $this->asRecorded($kit);
        $this->finish($check)->assertOk();

        // A kit to make is made by equipping it, and closes its task.
        $make = collect($work)->firstWhere('kind', 'make');
        $this->putJson("/api/tasks/{$make['id']}", ['state' => 'done'])->assertJsonValidationErrors(['task']);
        $smaller = collect($this->getJson('/api/designs')->json())->firstWhere('code', 'vehicle')['id'];
        $this->postJson(
            '/api/kits',
            [
                'id' => $this->ulid(), 'code' => 'QH-20', 'name' => 'Grounds box', 'design_id' => $smaller,
                'place_id' => $make['place_id'], 'scope' => 'first_aider', 'task' => $make['id'],
            ],
        )->assertUnprocessable()->assertJsonValidationErrors(['design_id']);
        $this->assertNull(Kit::query()->where('code', 'QH-20')->first(), 'Nothing is made by half.');
        $this->postJson(
            '/api/kits',
            [
                'id' => $this->ulid(), 'code' => 'QH-20', 'name' => 'Grounds box', 'design_id' => $make['design_id'],
                'place_id' => $make['place_id'], 'scope' => 'first_aider', 'task' => $make['id'],
            ],
        )->assertCreated();
        $done = collect($this->getJson("/api/assessments/{$site['id']}")->json('tasks'))->firstWhere('id', $make['id']);
        $this->assertSame(['done', 'QH-20', 'Maren Oduya'], [$done['state'], $done['made_kit'], $done['closed_by']]);
        $this->app?->forgetScopedInstances();
        $module = collect($this->readKit('QH-20')['modules'])->firstWhere('name', 'Rinsing module');
        $this->assertContains("{$module['code']}.L1", array_column($this->readKit('QH-20')['verdict']['lines'], 'code'));

        // Dropping asks for a reason; carrying out again asks only for what is left.
        $last = collect($work)->firstWhere('kit', 'QH-07');
        $this->putJson("/api/tasks/{$last['id']}", ['state' => 'dropped'])->assertJsonValidationErrors(['reason']);
        $this->putJson("/api/tasks/{$last['id']}", ['state' => 'dropped', 'reason' => 'The crew carries blankets in the truck.'])->assertOk();
        $again = collect($this->postJson("/api/assessments/{$site['id']}/tasks")->json('tasks'));
        $this->assertSame(['QH-07'], $again->where('state', 'open')->pluck('kit')->values()->all());
        $this->assertSame(0, $this->artisan('ledger:verify')->run());
    }

    public function test_a_kit_that_a_plan_asks_for_without_modules_is_judged_and_on_every_list_at_once(): void
    {
        $started = $this->actAs('lead')->start();
        foreach ($started['areas'] as $area) {
            $this->deleteJson("/api/areas/{$area['id']}")->assertOk();
        }
        $this->putJson("/api/assessments/{$started['id']}/areas/{$this->ulid()}", $this->answers(['people' => 30, 'points' => 40]))->assertOk();
        $this->putJson("/api/assessments/{$started['id']}/signature", ['chosen' => 'least', 'signed' => $this->person('lead')->name])->assertOk();
        $task = collect($this->postJson("/api/assessments/{$started['id']}/tasks")->assertOk()->json('tasks'))
            ->first(static fn (array $one): bool => $one['kind'] === 'make' && $one['modules'] === []);
        $this->assertNotNull($task, 'the plan asks for a kit without modules');
        $this->postJson('/api/kits', [
            'id' => $this->ulid(), 'code' => 'QH-77', 'name' => 'Terrace box', 'design_id' => $task['design_id'],
            'place_id' => $this->kit('QH-01')->place_id, 'scope' => 'first_aider', 'task' => $task['id'],
        ])->assertSuccessful();
        $row = collect($this->getJson('/api/kits?q=QH-77')->assertOk()->json('kits'))->firstWhere('code', 'QH-77');
        $this->assertSame(['not_ready', true], [$row['verdict'] ?? null, $row['wants_restock'] ?? null]);
    }

    public function test_work_of_a_plan_is_given_to_somebody_and_stays_theirs_when_it_is_compared_again(): void
    {
        $id = $this->actAs('lead')->current()['id'];
        $tasks = collect($this->postJson("/api/assessments/{$id}/tasks")->assertOk()->json('tasks'))->where('state', 'open');
        $move = $tasks->firstWhere('kind', '!=', 'make');
        $make = $tasks->firstWhere('kind', 'make');
        $keeper = $this->person('keeper');
        $day = now()->addDays(9)->toDateString();
        $this->putJson("/api/tasks/{$move['id']}/given", ['user_id' => $keeper->id, 'due_on' => $day])->assertOk();
        $this->putJson("/api/tasks/{$make['id']}/given", ['user_id' => $keeper->id, 'due_on' => $day])->assertUnprocessable()
            ->assertJsonPath('errors.user_id.0', "{$keeper->name} may not equip a kit. Choose a lead.");
        $this->putJson("/api/tasks/{$move['id']}/given", ['user_id' => $keeper->id, 'due_on' => null])->assertUnprocessable()
            ->assertJsonPath('errors.due_on.0', 'Say by which day it is to be done.');
        $again = collect($this->postJson("/api/assessments/{$id}/tasks")->assertOk()->json('tasks'))->where('state', 'open')->firstWhere('text', $move['text']);
        $this->assertSame([$keeper->name, $day], [$again['user']['name'], $again['due_on']]);
        $mine = $this->actAs('keeper')->getJson('/api/kit-tasks?whose=mine')->assertOk()->json('plan');
        $this->assertSame([[$move['text'], $day, false]], array_map(static fn (array $one): array => [$one['text'], $one['due_on'], $one['is_overdue']], $mine));
        $this->putJson("/api/tasks/{$again['id']}/given", ['user_id' => null, 'due_on' => null])->assertForbidden();
        // Who goes hands it over with the rest.
        $this->actAs('lead')->putJson("/api/accounts/{$keeper->id}/deactivation", ['hand_over_to' => $this->person('lead')->id])->assertOk();
        $this->assertSame($this->person('lead')->id, DB::table('plan_tasks')->where('id', $again['id'])->value('user_id'));
    }

    public function test_kits_are_moved_and_retired_and_it_is_in_their_history(): void
    {
        $this->actAs('lead');
        $new = $this->start();
        // The visitor centre closes its upper floor and nobody walks alone any more; the laboratory takes in a class.
        $area = collect($new['areas'])->keyBy('name');
        $answers = fn (array $area, array $but): array => [...array_intersect_key(
            $area,
            array_flip([
                'name', 'hangs_at', 'people', 'hazard', 'points', 'lone_workers', 'vehicles', 'running_water',
                'children', 'minutes_to_help', 'risks', 'note',
            ]),
        ),
            'base' => $area['revision'], 'places' => array_column($area['places'], 'id'), ...$but];
        foreach ([
            ['Visitor centre', ['points' => 1]], ['Propagation laboratory', ['people' => 9]],
            ['Grounds, walks and vehicles', ['lone_workers' => 2]],
        ] as [$name, $but]) {
            $this->putJson("/api/assessments/{$new['id']}/areas/{$area[$name]['id']}", $answers($area[$name], $but))->assertOk();
        }
        $this->putJson("/api/assessments/{$new['id']}/signature", ['chosen' => 'least', 'signed' => 'M. Oduya'])->assertOk();
        $work = collect($this->postJson("/api/assessments/{$new['id']}/tasks")->assertOk()->json('tasks'));
        $moves = $work->where('kind', 'move')->keyBy('area');
        $this->assertSame(
            'QH-06',
            $moves['Grounds, walks and vehicles']['kit'],
            'The small box that cannot serve nine people at high hazard serves where a small one is asked for.',
        );
        $move = $moves['Propagation laboratory'];
        $this->assertContains($move['kit'], ['QH-01', 'QH-02']);
        $this->putJson("/api/tasks/{$move['id']}", ['state' => 'done'])->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertSame('Propagation laboratory', $this->readKit($move['kit'])['place']['path']);
        $this->assertStringContainsString(
            'From Visitor centre',
            (string) json_encode($this->getJson("/api/kits/{$move['kit']}/history")->json('entries.0')),
        );

        $retired = $work->where('kind', 'retire')->pluck('kit')->all();
        $this->assertCount(1, $retired, 'Three walk pouches, two lone workers.');
        $task = $work->firstWhere('kind', 'retire');
        $code = $task['kit'];
        $kit = $this->kit($code);
        $held = (int) $kit->holdings()->sum('quantity');
        $stored = (int) $this->storeCount();
        $this->putJson("/api/tasks/{$task['id']}", ['state' => 'done'])->assertOk();
        $this->assertSame(0, (int) $kit->holdings()->sum('quantity'));
        $this->assertGreaterThan($stored, (int) $this->storeCount());
        $this->assertLessThanOrEqual($stored + $held, (int) $this->storeCount());
        $this->assertNotContains($code, collect($this->getJson('/api/kits')->json('kits'))->pluck('code')->all());
        $this->assertNotNull($this->readKit($code)['retired_on']);
        $this->finish([
            'answered' => array_column($this->readKit($code)['verdict']['lines'], 'code'),
            'kit' => $code, 'kind' => 'full', 'begun_at' => now()->subMinute()->toIso8601ZuluString(),
            'base' => ['epoch' => 1, 'number' => 0], 'signed' => $this->person('lead')->name, 'rows' => [],
        ])->assertAccepted();
        $this->assertSame(0, $this->artisan('ledger:verify')->run());
        $this->assertNotNull(Kit::query()->where('code', $code)->value('retired_on'));
    }

    private function storeCount(): mixed
    {
        return \App\Stock\Models\Holding::query()->whereNotNull('store_id')->sum('quantity');
    }

    public function test_another_list_may_be_chosen_for_a_kit_of_the_plan(): void
    {
        $this->actAs('lead');
        $list = collect($this->getJson('/api/lists')->json('lists'))->firstWhere('code', 'individual-bleeding-set');
        $choices = collect($this->putJson('/api/choices/severe_bleeding', ['list_id' => $list['id'], 'design_id' => null])->assertOk()->json());
        $this->assertSame('individual-bleeding-set', $choices->firstWhere('wanted', 'severe_bleeding')['list']['code']);
        $this->putJson('/api/choices/huge', ['list_id' => $list['id']])->assertNotFound();
        $this->putJson('/api/choices/small', ['list_id' => 'no-such'])->assertUnprocessable();
    }
}
