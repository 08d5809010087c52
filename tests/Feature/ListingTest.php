<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Judging\JudgeMarked;
use App\Kits\Models\Place;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Every list comes a page at a time, filtered and sorted by the server, and as a sheet of all that it is about. */
final class ListingTest extends TestCase
{
    /** @return list<string> */
    private function codes(string $query): array
    {
        return array_column($this->getJson("/api/kits{$query}")->assertOk()->json('kits'), 'code');
    }

    /** @return list<array<string, string>> */
    private function sheet(string $path): array
    {
        $response = $this->get("/api{$path}")->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8');
        $rows = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), array_filter(explode("\r\n", $response->streamedContent())));
        $headings = array_map(strval(...), array_shift($rows) ?? []);

        return array_map(static fn (array $row): array => array_combine($headings, array_map(strval(...), $row)), array_values($rows));
    }

    public function test_kits_come_by_fifty_in_walking_order_and_none_is_left_out_between_pages(): void
    {
        $this->actAs('member');
        Artisan::call('fleet:make', ['kits' => 117]);
        $this->app?->call([new JudgeMarked, 'handle']);
        $expected = DB::table('kits')->join('places', 'places.id', '=', 'kits.place_id')->whereNull('kits.retired_on')->whereNull('parent_kit_id')
            ->orderBy('walk_order')->orderBy('code')->pluck('code')->all();
        $read = [];
        foreach ([1, 2, 3] as $page) {
            $answer = $this->getJson("/api/kits?page={$page}")->assertOk()->json();
            $this->assertSame(['page' => $page, 'pages' => 3, 'in_all' => count($expected)], $answer['page']);
            array_push($read, ...array_column($answer['kits'], 'code'));
        }
        $this->assertSame($expected, $read);
        $this->assertSame(3, $this->getJson('/api/kits?page=99')->json('page.page'), 'Beyond the last is the last.');
    }

    public function test_kits_are_found_by_place_and_what_lies_in_it_verdict_work_and_name(): void
    {
        $this->actAs('member');
        $centre = Place::query()->where('name', 'Visitor centre')->firstOrFail();
        $this->assertSame(['QH-01', 'QH-02', 'QH-17'], $this->codes("?place={$centre->id}&sort=code"));
        $this->assertSame(['QH-07', 'QH-09', 'QH-G4', 'QH-G5', 'QH-G7', 'QH-G8'], $this->codes('?verdict=not_ready&sort=code'));
        $this->assertSame(['QH-13', 'QH-14', 'QH-15'], $this->codes('?q=walk%20pouch&sort=code'));
        $this->assertSame(['QH-13', 'QH-14', 'QH-15', 'QH-18'], $this->codes('?q=potting&sort=code'), 'By the name of the place.');
        $this->assertSame(['QH-16'], $this->codes('?q=QH-16'));
        $today = Organisation::current()->today();
        $due = $this->getJson('/api/kits?work=check_due&sort=due')->json('kits');
        $this->assertNotSame([], $due);
        $days = array_column($due, 'due_on');
        $this->assertLessThanOrEqual($today, max($days));
        $sorted = $days;
        sort($sorted);
        $this->assertSame($sorted, $days);
        foreach ($this->getJson('/api/kits?work=check_later')->json('kits') as $kit) {
            $this->assertGreaterThan($today, $kit['due_on']);
        }
        foreach ($this->getJson('/api/kits?work=restock')->json('kits') as $kit) {
            $this->assertTrue($kit['wants_restock']);
        }
        $this->assertSame(array_reverse($this->codes('?sort=code')), $this->codes('?sort=code&order=down'));
    }

    public function test_a_sheet_has_all_rows_as_they_are_filtered(): void
    {
        $this->actAs('auditor');
        $sheet = $this->sheet('/kits?verdict=not_ready&sort=code&format=csv');
        $this->assertSame(['QH-07', 'QH-09', 'QH-G4', 'QH-G5', 'QH-G7', 'QH-G8'], array_column($sheet, 'code'));
        $this->assertSame('Tree yard, Second climber', $sheet[1]['place']);
        $this->assertStringContainsString('Tourniquet: 0 of 1', $sheet[1]['reasons']);
        $this->assertCount(DB::table('items')->count(), $this->sheet('/items?format=csv'), 'More than a page.');
        $this->assertCount(DB::table('lists')->count(), $this->sheet('/lists?format=csv'));
        $store = Store::query()->firstOrFail();
        $this->assertSame(
            (int) DB::table('holdings')->where('store_id', $store->id)->sum('quantity'),
            array_sum(array_map(intval(...), array_column($this->sheet("/stores/{$store->id}?format=csv"), 'pieces'))),
        );
        $history = $this->sheet('/kits/QH-01/history?format=csv');
        $this->assertSame(
            DB::table('operation_kits')->where('kit_id', $this->kit('QH-01')->id)->count(),
            count(array_unique(array_column($history, 'operation'))),
            'Every operation, over all pages.',
        );
        foreach (['/kits', '/items', '/lists', "/stores/{$store->id}", '/kits/QH-01/history'] as $path) {
            $this->actAs('member')->getJson("/api{$path}?format=csv")->assertForbidden();
        }
    }

    public function test_a_cell_that_a_spreadsheet_would_run_is_harmless(): void
    {
        DB::table('kits')->where('code', 'QH-01')->update(['name' => '=cmd|x']);
        $this->actAs('auditor');
        $this->assertSame("'=cmd|x", $this->sheet('/kits?sort=code&format=csv')[0]['name']);
    }

    public function test_items_are_found_by_name_code_class_and_who_may_use_them(): void
    {
        $this->actAs('member');
        $names = fn (string $query): array => array_column($this->getJson("/api/items{$query}")->assertOk()->json('items'), 'name');
        $this->assertContains('Windlass tourniquet', $names('?q=windlass'));
        $this->assertSame([], $names('?q=no-such-thing'));
        $this->assertContains('Haemostatic gauze', $names('?class=dressing'), 'A class has those below it.');
        $this->assertNotContains('Windlass tourniquet', $names('?class=dressing'));
        $this->assertContains('Vented chest seal, pair', $names('?scope=trained'));
        $all = $this->getJson('/api/items?sort=code')->json();
        $this->assertCount(50, $all['items']);
        $this->assertSame(DB::table('items')->count(), $all['page']['in_all']);
        $this->assertSame(DB::table('items')->orderBy('code')->limit(50)->pluck('code')->all(), array_column($all['items'], 'code'));
        $blanket = collect($this->getJson('/api/items?q=foil')->json('items'))->firstWhere('code', 'foil-blanket');
        $held = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('items.code', 'foil-blanket')->where('condition', 'good');
        $this->assertSame((int) $held->clone()->whereNotNull('kit_id')->sum('quantity'), $blanket['in_kits']);
        $this->assertSame((int) $held->clone()->whereNotNull('store_id')->sum('quantity'), $blanket['in_store']);
        $this->assertCount(DB::table('items')->count(), $this->getJson('/api/choices/items')->assertOk()->json());
    }

    public function test_lists_are_found_by_words_group_and_confirmation(): void
    {
        $this->actAs('member');
        $lists = fn (string $query): array => $this->getJson("/api/lists{$query}")->assertOk()->json('lists');
        $this->assertSame(['starter'], array_values(array_unique(array_column($lists('?group=starter'), 'origin'))));
        $this->assertSame(['module'], array_values(array_unique(array_column($lists('?group=module'), 'kind'))));
        $this->assertSame(['kit'], array_values(array_unique(array_column($lists('?group=house'), 'kind'))));
        $this->assertSame([true], array_values(array_unique(array_column($lists('?confirmed=yes'), 'confirmed'))));
        $this->assertSame([false], array_values(array_unique(array_column($lists('?confirmed=no'), 'confirmed'))));
        $this->assertSame([['bleeding-set', '2']], array_map(static fn (array $one): array => [$one['code'], $one['edition']], $lists('?q=bleeding%20rescue&edition=latest')));
        $this->assertCount(DB::table('lists')->count(), $this->getJson('/api/choices/lists')->assertOk()->json());
    }

    public function test_what_lies_in_a_store_is_sorted_and_found(): void
    {
        $this->actAs('member');
        $store = Store::query()->firstOrFail();
        $rows = fn (string $query): array => $this->getJson("/api/stores/{$store->id}{$query}")->assertOk()->json('rows');
        $days = array_filter(array_column($rows('?sort=expires'), 'good_until'));
        $sorted = $days;
        sort($sorted);
        $this->assertSame($sorted, $days);
        $lot = collect($rows(''))->firstWhere('lot', '!=', null);
        $this->assertContains($lot['lot'], array_column($rows("?q={$lot['lot']}"), 'lot'));
        $yesterday = now()->subDay()->toDateString();
        foreach ($rows("?until={$yesterday}") as $row) {
            $this->assertLessThanOrEqual($yesterday, $row['good_until']);
        }
        $this->assertSame([], $rows('?condition=failed'));
        $this->getJson('/api/stores/no-such')->assertNotFound();
    }

    public function test_the_lots_of_an_item_are_those_on_record(): void
    {
        $lots = $this->actAs('keeper')->getJson('/api/items/foil-blanket/lots')->assertOk()->json();
        $this->assertEqualsCanonicalizing(
            DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->where('items.code', 'foil-blanket')->get(['number', 'lots.expires'])
                ->map(static fn (\stdClass $lot): array => ['lot' => $lot->number, 'expires' => $lot->expires])->all(),
            $lots,
        );
    }

    public function test_a_history_can_be_asked_for_checks_alone(): void
    {
        $this->actAs('member');
        $kinds = static fn (array $answer): array => array_values(array_unique(array_column($answer['entries'], 'kind')));
        $this->assertSame([], array_diff($kinds($this->getJson('/api/kits/QH-01/history?only=checks')->assertOk()->json()), ['full_check', 'quick_check']));
        $this->assertContains('equip', $kinds($this->getJson('/api/kits/QH-01/history?only=contents')->json()));
        $this->getJson('/api/kits/QH-01/history?only=gossip')->assertUnprocessable();
    }

    public function test_what_no_list_knows_is_refused(): void
    {
        $this->actAs('member');
        foreach (['?page=0', '?page=x', '?sort=colour', '?order=sideways', '?verdict=splendid', '?place=here', '?format=pdf', '?q[]=x'] as $query) {
            $this->getJson("/api/kits{$query}")->assertUnprocessable();
        }
    }
}
