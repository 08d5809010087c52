<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Judging\KitStates;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class TodayTest extends TestCase
{
    public function test_the_worklist_is_most_pressing_first_with_its_reasons(): void
    {
        $today = $this->actAs('keeper')->getJson('/api/today')->assertOk()->json();
        $this->assertSame(26, $today['kits']);
        $work = collect($today['work']);
        $first = $work->first();
        $this->assertSame(['QH-07', 'stop', 'not_ready', 'check'], [$first['kit'], $first['band'], $first['verdict'], $first['job']]);
        $this->assertStringContainsString('9 days overdue', $first['reasons'][0]);
        $this->assertSame(
            ['stop', 'now', 'soon', 'later'],
            array_values(array_unique($work->pluck('band')->all())),
            'The bands come in the order of their urgency.',
        );
        $byKit = $work->keyBy('kit');
        $this->assertSame(['Check due today'], $byKit['QH-04']['reasons']);
        $this->assertContains('Eyewash pod: 3 of 10', $byKit['QH-06']['reasons']);
        $this->assertStringContainsString('days overdue', $byKit['QH-12']['reasons'][0]);
        $this->assertSame('restock', $byKit['QH-06']['job']);
        $this->assertSame('check', $byKit['QH-17']['job'], 'A kit that was used is counted before anything is put in.');
        $this->assertFalse($work->pluck('kit')->contains('QH-13'), 'A sealed kit that is ready and not due is no work.');
    }

    public function test_within_a_band_the_places_come_in_walking_order(): void
    {
        $order = DB::table('places')->pluck('walk_order', 'id');
        $now = collect($this->actAs('keeper')->getJson('/api/today')->json('work'))->where('band', 'now')->map(fn (array $row): int => (int) $order[$row['place']['id']])->values();
        $this->assertGreaterThan(3, $now->count());
        $this->assertSame($now->sort()->values()->all(), $now->all());
    }

    public function test_the_horizon_marks_what_runs_out_and_what_falls_due(): void
    {
        $today = $this->actAs('member')->getJson('/api/today')->json();
        $kitchen = collect($today['horizon'])->firstWhere('place.name', 'Kitchen');
        $burn = collect($kitchen['marks'])->first(fn (array $mark): bool => in_array(
            'Burn dressing, gel soaked, 20 cm expires',
            $mark['texts'],
            true,
        ));
        $this->assertSame([now()->addDays(19)->toDateString(), 'QH-05'], [$burn['day'], $burn['kit']]);
        $this->assertNotNull(collect($kitchen['marks'])->firstWhere('kind', 'check'));
    }

    public function test_a_state_that_holds_no_longer_is_not_shown_as_present_until_it_is_judged_again(): void
    {
        $this->assertSame('ready_with_actions', $this->actAs('keeper')->readKit('QH-05')['verdict']['verdict']);
        $this->travel(20)->days();
        $before = DB::table('kit_states')->orderBy('kit_id')->get()->all();
        $today = $this->actAs('keeper')->getJson('/api/today')->assertOk()->json();
        $this->assertNull(collect($today['work'])->keyBy('kit')['QH-05']['verdict']);
        $this->assertSame([], array_filter(collect($today['work'])->keyBy('kit')['QH-05']['reasons'], fn (string $text): bool => str_contains($text, 'dressing')));
        $this->assertGreaterThan(0, $today['being_judged']);
        $this->assertSame($today['kits'], $today['being_judged'] + array_sum(array_column($today['counts'], 'kits')));
        $places = collect($this->getJson('/api/kits')->assertOk()->json('kits'))->keyBy('code');
        $this->assertNull($places['QH-05']['verdict']);
        $this->assertEquals($before, DB::table('kit_states')->orderBy('kit_id')->get()->all(), 'Reading writes nothing.');
        $this->artisan('schedule:run');
        $today = $this->getJson('/api/today')->assertOk()->json();
        $this->assertSame(0, $today['being_judged']);
        $this->assertSame('limited', collect($today['work'])->keyBy('kit')['QH-05']['verdict'], 'Both large burn dressings are past their date by then.');
        $this->travelBack();
    }

    public function test_what_is_kept_of_each_kit_is_what_the_core_says_on_any_later_day(): void
    {
        $states = app(KitStates::class);
        foreach ([0, 3, 9, 25, 40, 70, 130, 260] as $days) {
            $day = now()->addDays($days)->toDateString();
            $states->judgeMarked($day, 60.0);
            $kept = DB::table('kit_states')->orderBy('kit_id')->get(['kit_id', 'verdict', 'due_on', 'mass_g'])->all();
            foreach (\App\Kits\Models\Kit::byThemselves()->get() as $kit) {
                $states->renew($kit, $day);
            }
            $this->assertEquals(
                DB::table('kit_states')->orderBy('kit_id')->get(['kit_id', 'verdict', 'due_on', 'mass_g'])->all(),
                $kept,
                "After {$days} days.",
            );
        }
    }

    public function test_the_places_show_their_kits(): void
    {
        $places = collect($this->actAs('auditor')->getJson('/api/places')->assertOk()->json('places'));
        $walks = $places->firstWhere('name', 'Walk leaders\' hooks');
        $this->assertSame(4, $walks['kits']);
        $kits = $this->getJson("/api/kits?place={$walks['id']}")->json('kits');
        $this->assertSame(['QH-13', 'QH-14', 'QH-15', 'QH-18'], array_column($kits, 'code'));
        $this->assertSame(['intact', 'intact', 'intact', 'none'], array_column($kits, 'seal'));
        $this->assertGreaterThanOrEqual(9, $places->filter(fn (array $place): bool => $place['kits'] > 0)->count());
    }
}
