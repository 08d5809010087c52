<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Catalogue\Models\Item;
use App\Judging\JudgeMarked;
use App\Judging\JudgingVersion;
use App\Judging\KitStates;
use App\Judging\StateCounts;
use App\Judging\VerifyStates;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** What is kept of a kit is shown as present only where it was judged under all that concerns it. */
final class StatesTest extends TestCase
{
    public function test_a_judging_that_saw_less_never_replaces_what_a_check_found(): void
    {
        $this->actAs('keeper');
        $kit = $this->kit('QH-01');
        $this->assertNotSame('not_ready', $this->state('QH-01')->verdict);
        app(KitStates::class)->judgeAgain([$kit->id], $this->today(), function (): void {
            // Judged, and not kept yet: meanwhile somebody finds the kit empty.
            $check = $this->asRecorded($this->readKit('QH-01'));
            $check['rows'] = [];
            $check['seal_reason'] = 'planned full check';
            $this->finish($check)->assertOk();
        });
        $this->assertSame('not_ready', $this->state('QH-01')->verdict);
        $this->assertSame($this->kit('QH-01')->last_operation, (int) $this->state('QH-01')->rests_on);
        $this->assertTrue(KitStates::isPresent($this->state('QH-01'), $this->today()));
    }

    public function test_a_change_while_a_kit_is_judged_leaves_it_marked(): void
    {
        Queue::fake();
        $kit = $this->kit('QH-01');
        app(KitStates::class)->judgeAgain([$kit->id], $this->today(), function () use ($kit): void {
            app(KitStates::class)->mark([$kit->id]);
        });
        $this->assertFalse(KitStates::isPresent($this->state('QH-01'), $this->today()));
        app()->forgetScopedInstances();
        app(KitStates::class)->judgeAgain([$kit->id], $this->today());
        $this->assertTrue(KitStates::isPresent($this->state('QH-01'), $this->today()));
    }

    public function test_a_check_that_was_judged_under_what_has_changed_since_is_judged_again(): void
    {
        Queue::fake();
        $this->actAs('keeper');
        $check = $this->asRecorded($this->readKit('QH-03'));
        $check['seal_reason'] = 'planned full check';
        // Somebody else's change stands when the check is about to be kept: what this request remembers is older.
        $version = app(JudgingVersion::class);
        $seen = $version->now();
        DB::table('judging_version')->increment('version');
        (new \ReflectionProperty($version, 'seen'))->setValue($version, $seen);
        (new \ReflectionProperty($version, 'isRaisedHere'))->setValue($version, true);
        $this->finish($check)->assertOk();
        $this->assertFalse(KitStates::isPresent($this->state('QH-03'), $this->today()));
        Queue::assertPushed(JudgeMarked::class);
    }

    public function test_a_changed_item_marks_the_kits_that_it_concerns_and_no_others(): void
    {
        Queue::fake();
        $item = Item::query()->where('code', 'burn-dressing-20')->first() ?? Item::query()->whereHas('measures')->firstOrFail();
        $holding = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->where('lots.item_id', $item->id)->whereNotNull('kit_id')
            ->distinct()->pluck('kit_id')->all();
        $this->assertNotSame([], $holding);
        $written = $this->actAs('lead')->getJson("/api/items/{$item->code}")->json();
        $this->putJson("/api/items/{$item->code}", [
            'base' => $written['revision'], 'code' => $item->code, 'name' => $item->name, 'class' => $item->class, 'count_unit' => $item->count_unit,
            'dated' => $item->dated, 'sterile' => $item->sterile, 'mass' => ($item->mass_g + 1).' g', 'scope' => $item->scope->value,
            'reserve' => $item->keeps_as_reserve, 'purpose' => $item->purpose, 'caution' => $item->caution, 'allergy' => $item->allergy,
            'superseded_by' => null, 'storage_min_c' => $item->storage_min_c, 'storage_max_c' => $item->storage_max_c,
            'opened_life' => $item->opened_life, 'opened_life_unit' => $item->opened_life_unit, 'measures' => [], 'packs' => [], 'needs' => [], 'stand_ins' => [],
        ])->assertOk();
        $marked = DB::table('kit_states')->where('is_marked', true)->pluck('kit_id')->all();
        $this->assertSame([], array_diff($holding, $marked));
        $this->assertLessThan(DB::table('kit_states')->count(), count($marked));
        $mass = collect($this->getJson('/api/kits')->json('kits'))->whereNull('verdict')->count();
        $this->assertSame(count($marked), $mass, 'Each is said to be judged again.');
        app()->forgetScopedInstances();
        $this->app?->call([new JudgeMarked, 'handle']);
        $this->assertSame(0, DB::table('kit_states')->where('is_marked', true)->count());
    }

    public function test_what_is_remembered_of_the_catalogue_is_not_older_than_the_label(): void
    {
        $this->changesRowsByHand();
        $states = app(KitStates::class);
        $kit = $this->kit('QH-01');
        $before = $states->renew($kit, $this->today())->judgement->mass;
        $item = (string) DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->where('holdings.kit_id', $kit->id)->value('lots.item_id');
        // As another machine does it: neither this catalogue nor this version is told.
        DB::table('items')->where('id', $item)->increment('mass_g', 100);
        $this->assertSame($before, $states->renew($kit, $this->today())->judgement->mass, 'It remembers what it read.');
        DB::table('judging_version')->increment('version');
        $pieces = (int) $kit->holdings()->whereHas('lot', fn ($lot) => $lot->where('item_id', $item))->sum('quantity');
        $this->assertSame($before + 100 * $pieces, $states->renew($kit, $this->today())->judgement->mass);
    }

    public function test_a_clock_that_was_ahead_once_leaves_nothing_from_the_future(): void
    {
        $kit = $this->kit('QH-05');
        $this->travel(90)->days();
        app(KitStates::class)->judgeAgain([$kit->id], $this->today());
        $ahead = $this->state('QH-05');
        $this->travelBack();
        app()->forgetScopedInstances();
        $this->assertFalse(KitStates::isPresent($ahead, $this->today()));
        $this->assertNull($this->shown('QH-05'));
        $this->app?->call([new JudgeMarked, 'handle']);
        $this->assertSame($this->readKit('QH-05')['verdict']['verdict'], $this->shown('QH-05'));
    }

    public function test_at_midnight_yesterdays_words_are_not_said_of_today(): void
    {
        $this->actAs('member');
        $last = (string) DB::table('kit_states')->whereNotNull('holds_through')->min('holds_through');
        $this->travelTo(\Carbon\CarbonImmutable::parse("{$last} 23:59:59", Organisation::current()->time_zone));
        $this->app?->call([new JudgeMarked, 'handle']);
        $this->assertSame(0, $this->getJson('/api/today')->json('being_judged'));
        $this->travel(2)->seconds();
        app()->forgetScopedInstances();
        $this->assertGreaterThan(0, $this->getJson('/api/today')->json('being_judged'));
        $this->travelBack();
    }

    public function test_an_operation_that_kept_no_state_leaves_the_kit_marked(): void
    {
        $this->changesRowsByHand();
        $kit = $this->kit('QH-02');
        KitStates::restOn([$kit->id], $kit->last_operation + 7, false);
        $this->assertFalse(KitStates::isPresent($this->state('QH-02'), $this->today()));
        KitStates::restOn([$kit->id], $kit->last_operation + 8, true);
        $this->assertTrue(KitStates::isPresent($this->state('QH-02'), $this->today()));
    }

    public function test_a_retired_kit_is_not_judged_by_who_read_it_before(): void
    {
        $this->changesRowsByHand();
        $kit = $this->kit('QH-04');
        app(KitStates::class)->judgeAgain([$kit->id], $this->today(), function () use ($kit): void {
            app(KitStates::class)->drop($kit);
        });
        $this->assertSame(0, DB::table('kit_states')->where('kit_id', $kit->id)->count());
        $this->assertSame(0, DB::table('kit_findings')->where('kit_id', $kit->id)->count());
    }

    public function test_every_state_is_compared_with_judging_anew(): void
    {
        $this->assertSame([], app(VerifyStates::class)($this->today()));
        $kit = $this->kit('QH-05');
        DB::table('kit_states')->where('kit_id', $kit->id)->update(['verdict' => 'ready']);
        DB::table('kit_states')->where('kit_id', $this->kit('QH-07')->id)->update(['rests_on' => 10_000_000]);
        DB::table('kit_states')->where('kit_id', $this->kit('QH-09')->id)->delete();
        DB::table('kit_findings')->where('kit_id', $this->kit('QH-03')->id)->where('position', 0)->delete();
        $wrong = app(VerifyStates::class)($this->today());
        $this->assertCount(4, $wrong, implode("\n", $wrong));
        $this->assertStringContainsString('QH-03: of it is kept', implode("\n", $wrong));
        $this->assertStringContainsString('QH-05: its verdict is kept as ready, and judging anew says ready_with_actions', implode("\n", $wrong));
        $this->assertStringContainsString('QH-07: it rests on operation 10000000', implode("\n", $wrong));
        $this->assertStringContainsString('QH-09: it was never judged', implode("\n", $wrong));
        $this->assertSame('ready_with_actions', $this->shown('QH-05'), 'What was wrong is judged again.');
        $this->assertSame([], app(VerifyStates::class)($this->today()));
    }

    public function test_the_counts_follow_every_state_and_are_put_together(): void
    {
        $this->changesRowsByHand();
        $this->assertSame([], StateCounts::faults());
        $before = DB::table('state_counts')->count();
        DB::table('kit_states')->where('code', 'QH-03')->update(['verdict' => 'limited', 'band' => 2, 'overdue_from' => '2020-01-01']);
        DB::table('kit_states')->where('code', 'QH-04')->delete();
        DB::table('kit_states')->where('code', 'QH-05')->update(['mass_g' => 1]);
        $this->assertSame([], StateCounts::faults());
        $this->assertSame($before + 3, DB::table('state_counts')->count(), 'What changes nothing of it appends nothing.');
        $counted = StateCounts::on($this->today());
        $this->assertSame(25, array_sum($counted->byVerdict));
        $this->assertSame(DB::table('kit_states')->where('overdue_from', '<=', $this->today())->count(), $counted->overdue);
        $this->assertSame(DB::table('kit_states')->where('band', '<', 4)->count(), $counted->onWorklist);
        StateCounts::putTogether();
        $this->assertSame($before + 3, DB::table('state_counts')->count(), 'It is little.');
        StateCounts::putTogether(1);
        $this->assertLessThan($before, DB::table('state_counts')->count());
        $this->assertEquals($counted, StateCounts::on($this->today()));
        $this->assertSame([], StateCounts::faults());
    }

    public function test_counts_that_are_wrong_are_reported_and_counted_anew(): void
    {
        DB::table('state_counts')->insert(['verdict' => 'ready', 'band' => 4, 'overdue_from' => null, 'kits' => 3]);
        $wrong = app(VerifyStates::class)($this->today());
        $this->assertCount(1, $wrong);
        $this->assertStringContainsString('Ready, band 4, overdue from no day: counted as', $wrong[0]);
        $this->assertSame([], app(VerifyStates::class)($this->today()));
    }

    public function test_a_kit_that_cannot_be_judged_keeps_no_other_from_it(): void
    {
        Queue::fake();
        app(KitStates::class)->mark();
        // As no screen allows it: a line that asks for a length in all, of an item that has none any more.
        $line = DB::table('lines')->join('line_entries', 'line_entries.line_id', '=', 'lines.id')->join('design_editions', 'design_editions.list_id', '=', 'lines.list_id')
            ->join('kits', 'kits.design_edition_id', '=', 'design_editions.id')->whereNotNull('lines.total_measure')->whereNotNull('line_entries.item_id')
            ->first(['line_entries.item_id', 'design_editions.list_id']);
        $this->assertNotNull($line);
        DB::table('item_measures')->where('item_id', $line->item_id)->delete();
        $concerned = DB::table('kits')->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')
            ->where('design_editions.list_id', $line->list_id)->count();
        app()->forgetScopedInstances();
        $this->assertSame(0, app(KitStates::class)->judgeMarked($this->today(), 60.0));
        $left = DB::table('kit_states')->where('is_marked', true)->count();
        $this->assertGreaterThanOrEqual($concerned, $left);
        $this->assertLessThan(DB::table('kit_states')->count(), $left, 'The others were judged.');
    }

    public function test_findings_of_lots_whose_numbers_are_worth_the_same_are_not_taken_for_one_another(): void
    {
        $kit = $this->kit('QH-07');
        $finding = DB::table('kit_findings')->where('kit_id', $kit->id)->whereNotNull('lot_number')->first() ?? $this->fail('There is no such finding.');
        $lot = DB::table('lots')->where('number', $finding->lot_number);
        foreach (['0123', '123', '1.23e2'] as $number) {
            (clone $lot)->update(['number' => $number]);
            $lot = DB::table('lots')->where('number', $number);
            app(KitStates::class)->renew($kit, $this->today());
            $this->assertSame([$number], DB::table('kit_findings')->where('kit_id', $kit->id)->whereNotNull('lot_number')->distinct()->pluck('lot_number')->all());
        }
    }

    public function test_reading_writes_nothing(): void
    {
        $this->actAs('keeper');
        $this->travel(40)->days();
        $written = [];
        DB::listen(function ($query) use (&$written): void {
            if (preg_match('/^\s*(insert|update|delete|replace)|for update/i', $query->sql) === 1) {
                $written[] = $query->sql;
            }
        });
        foreach (['/api/today', '/api/places', '/api/kits', '/api/kits/QH-01', '/api/kits/QH-01/restock', '/api/kits/QH-01/history', '/api/lists', '/api/items', '/api/find?q=burn'] as $path) {
            $this->getJson($path)->assertOk();
        }
        $this->assertSame([], $written);
        $this->travelBack();
    }

    public function test_a_plan_that_is_kept_is_used_under_its_own_version_and_rules_alone(): void
    {
        $kit = $this->kit('QH-01');
        $this->app?->call([new JudgeMarked, 'handle']);
        $this->assertGreaterThan(5, DB::table('kept_plans')->count());
        $queries = $this->queriesOf(fn () => app(KitStates::class)->renew($kit, $this->today()));
        $this->assertSame([], preg_grep('/from `lines`|from `line_entries`/', $queries), 'It is read at once.');
        foreach ([
            fn () => DB::table('kept_plans')->update(['rules' => 'others']),
            fn () => DB::table('kept_plans')->update(['seal' => str_repeat('0', 64)]),
            fn () => DB::table('judging_version')->increment('version'),
        ] as $spoil) {
            app()->forgetScopedInstances();
            $this->app?->call([new JudgeMarked, 'handle']);
            app()->forgetScopedInstances();
            $spoil();
            $queries = $this->queriesOf(fn () => app(KitStates::class)->renew($kit, $this->today()));
            $this->assertNotSame([], preg_grep('/from `lines`/', $queries), 'It is read anew.');
            DB::table('kept_plans')->delete();
        }
    }

    public function test_a_change_is_in_no_kept_plan_before_it_stands(): void
    {
        $version = app(JudgingVersion::class);
        DB::table('kept_plans')->delete();
        DB::transaction(function () use ($version): void {
            $version->raise();
            $version->keepPlans();
            $this->assertSame(0, DB::table('kept_plans')->count());
        });
        $version->keepPlans();
        $this->assertGreaterThan(0, DB::table('kept_plans')->count());
    }

    public function test_after_an_upgrade_of_the_rules_nothing_judged_by_the_old_ones_is_shown_as_present(): void
    {
        Queue::fake();
        $this->artisan('kits:fit')->assertSuccessful();
        app(KitStates::class)->judgeMarked($this->today(), 60.0);
        $this->artisan('kits:fit')->assertSuccessful();
        $this->assertSame(0, DB::table('kit_states')->where('is_marked', true)->count(), 'The same rules: nothing is judged again.');
        config(['judging.rules' => 'others']);
        $this->artisan('kits:fit')->assertSuccessful();
        $this->assertSame(DB::table('kit_states')->count(), DB::table('kit_states')->where('is_marked', true)->count());
    }

    /** @return list<string> */
    private function queriesOf(callable $what): array
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $what();
        DB::disableQueryLog();

        return array_values(array_map(static fn (array $one): string => $one['query'], DB::getQueryLog()));
    }

    private function today(): string
    {
        return Organisation::current()->today();
    }

    private function state(string $code): \stdClass
    {
        return DB::table('kit_states')->where('kit_id', $this->kit($code)->id)->first() ?? $this->fail("{$code} has no state.");
    }

    private function shown(string $code): ?string
    {
        return collect($this->actAs('member')->getJson('/api/kits')->assertOk()->json('kits'))->firstWhere('code', $code)['verdict'];
    }
}
