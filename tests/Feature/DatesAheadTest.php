<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What expires in the months ahead, where it is, and what it costs to replace. */
final class DatesAheadTest extends TestCase
{
    public function test_every_month_says_what_its_rows_come_to(): void
    {
        $ahead = $this->actAs('member')->getJson('/api/dates-ahead')->assertOk()->json();
        $today = app(Organisation::class)->today();
        $this->assertCount(13, $ahead['months']);
        $this->assertSame(substr($today, 0, 7), $ahead['months'][0]['month']);
        foreach ($ahead['months'] as $month) {
            $rows = $this->rowsOf($month['month']);
            $this->assertSame($month['in_kits'], array_sum(array_column(array_filter($rows, static fn (array $row): bool => $row['kit'] !== null), 'pieces')));
            $this->assertSame($month['in_stores'], array_sum(array_column(array_filter($rows, static fn (array $row): bool => $row['kit'] === null), 'pieces')));
            foreach ($rows as $row) {
                $this->assertSame($month['month'], substr($row['good_until'], 0, 7));
                $this->assertGreaterThanOrEqual($today, $row['good_until']);
            }
            $days = array_column($rows, 'good_until');
            $sorted = $days;
            sort($sorted);
            $this->assertSame($sorted, $days, 'the first to expire first');
        }
        $all = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->leftJoin('kits', 'kits.id', '=', 'holdings.kit_id')
            ->where('condition', 'good')->whereNull('kits.retired_on')->where('good_until', '>=', $today)
            ->where('good_until', '<', now()->parse($today)->startOfMonth()->addMonths(13)->toDateString())->sum('quantity');
        $this->assertSame((int) $all, array_sum(array_column($ahead['months'], 'in_kits')) + array_sum(array_column($ahead['months'], 'in_stores')));
    }

    public function test_a_month_that_is_not_ahead_is_answered_by_the_first_with_something(): void
    {
        $this->actAs('keeper');
        $first = $this->getJson('/api/dates-ahead')->assertOk()->json();
        $this->assertSame($first['month'], $this->getJson('/api/dates-ahead?month=2001-01')->assertOk()->json('month'));
        $this->assertNotSame([], $first['rows']);
        $this->getJson('/api/dates-ahead?month=soon')->assertUnprocessable();
        $this->getJson('/api/dates-ahead?page=0')->assertUnprocessable();
    }

    public function test_what_was_taken_is_no_longer_there_and_what_has_no_price_is_said(): void
    {
        $this->actAs('keeper');
        $month = collect($this->getJson('/api/dates-ahead')->json('months'))->firstWhere('in_kits', '>', 0)['month'];
        $row = collect($this->rowsOf($month))->first(static fn (array $one): bool => $one['kit'] !== null);
        $kit = $this->readKit($row['kit']);
        $held = collect($kit['contents'])->first(static fn (array $one): bool => $one['item'] === $row['item'] && $one['lot'] === $row['lot']);
        $this->putJson("/api/kits/{$row['kit']}/uses/{$this->ulid()}", [
            'base' => $kit['base'], 'begun_at' => now()->toIso8601ZuluString(), 'seal_reason' => 'Used',
            'taken' => [['pocket_id' => $held['pocket_id'], 'lot_id' => $held['lot_id'], 'condition' => 'good', 'quantity' => $held['quantity'], 'why' => 'used']],
        ])->assertOk();
        $this->assertCount(0, array_filter($this->rowsOf($month), static fn (array $one): bool => $one['kit'] === $row['kit'] && $one['lot'] === $row['lot'] && $one['item'] === $row['item']));
        DB::table('item_packs')->update(['price' => null]);
        app()->forgetInstance(\App\Catalogue\Prices::class);
        foreach ($this->rowsOf($month) as $one) {
            $this->assertNull($one['cost']);
        }
    }

    public function test_the_sheet_holds_every_row(): void
    {
        $rows = array_sum(array_map(fn (array $month): int => count($this->rowsOf($month['month'])), $this->actAs('auditor')->getJson('/api/dates-ahead')->json('months')));
        $sheet = $this->get('/api/dates-ahead?format=csv')->assertOk()->streamedContent();
        $this->assertSame($rows + 1, substr_count(trim($sheet), "\n") + 1);
        $this->actAs('member')->get('/api/dates-ahead?format=csv')->assertForbidden();
    }

    /** @return list<array<string, mixed>> */
    private function rowsOf(string $month): array
    {
        $rows = [];
        for ($page = 1, $pages = 1; $page <= $pages; $page++) {
            $read = $this->getJson("/api/dates-ahead?month={$month}&page={$page}")->assertOk()->json();
            $pages = $read['page']['pages'];
            array_push($rows, ...($read['month'] === $month ? $read['rows'] : []));
        }

        return $rows;
    }
}
