<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What is set apart, lent, borrowed, repacked and handed back: nothing of it is lost to the record. */
final class LoanTest extends TestCase
{
    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults);
        parent::tearDown();
    }

    public function test_what_is_set_apart_is_picked_for_no_kit_until_it_is_put_back(): void
    {
        $row = $this->actAs('keeper')->good();
        $this->work('set_apart', [[...$row, 'quantity' => $row['quantity']]])->assertUnprocessable()->assertJsonStructure(['errors' => ['reason']]);
        $this->work('set_apart', [[...$row, 'quantity' => 2]], ['reason' => 'The print is blurred'])->assertOk();
        $this->assertSame([2, $row['quantity'] - 2], [$this->there($row, 'quarantined'), $this->there($row)]);
        $apart = $this->getJson("/api/stores/{$this->store()->id}?condition=apart")->assertOk()->json('rows');
        $this->assertContains([$row['item'], $row['lot'], 2, 'quarantined'], array_map(
            static fn (array $one): array => [$one['item'], $one['lot'], $one['quantity'], $one['condition']], $apart,
        ), 'what may be put back is listed by itself, whatever else the store has');
        $this->assertSame([], array_diff(array_column($apart, 'condition'), ['quarantined', 'training']));
        $this->work('set_apart', [[...$row, 'quantity' => 1, 'condition' => 'quarantined']], ['reason' => 'x'])->assertUnprocessable();
        $this->work('release', [[...$row, 'quantity' => 1]], ['reason' => 'x'])->assertUnprocessable();
        $this->work('release', [[...$row, 'quantity' => 3, 'condition' => 'quarantined']], ['reason' => 'Looked over'])->assertUnprocessable();
        $this->work('release', [[...$row, 'quantity' => 2, 'condition' => 'quarantined']], ['reason' => 'Looked over'])->assertOk();
        $this->assertSame([0, $row['quantity']], [$this->there($row, 'quarantined'), $this->there($row)]);
        $this->assertStringContainsString('put back into stock', json_encode($this->getJson("/api/stores/{$this->store()->id}/history")->json()));
    }

    public function test_what_was_lent_comes_back_in_parts_and_today_shows_it_when_the_day_nears(): void
    {
        $row = $this->actAs('keeper')->good();
        $today = app(\App\Accounts\Models\Organisation::class)->today();
        $lent = ['partner' => 'Hollowmere Rescue Team', 'due_on' => date('Y-m-d', strtotime("{$today} +20 days"))];
        $this->work('lend', [[...$row, 'quantity' => 3]])->assertUnprocessable()->assertJsonStructure(['errors' => ['partner', 'due_on']]);
        $this->work('lend', [[...$row, 'quantity' => 3]], [...$lent, 'due_on' => '2020-01-01'])->assertUnprocessable();
        foreach ([1, 2] as $time) {
            $this->work('lend', [[...$row, 'quantity' => 3]], $lent, $id ??= $this->ulid())->assertOk();
        }
        $this->assertSame($row['quantity'] - 3, $this->there($row));
        $this->assertNotContains($id, array_column($this->getJson('/api/loans?near=yes')->json(), 'id'));
        $terms = fn (): array => DB::table('loan_terms')->where('loan_id', $id)->orderBy('operation_number')->pluck('due_on')->all();
        $this->putJson("/api/loans/{$id}/day", ['due_on' => date('Y-m-d', strtotime("{$today} -1 day"))])->assertUnprocessable();
        foreach ([1, 2] as $time) {
            $this->putJson("/api/loans/{$id}/day", ['due_on' => $today])->assertOk();
        }
        $this->assertSame([$lent['due_on'], $today], $terms(), 'another day is on record, the same day again is not');
        $this->assertStringContainsString('Hollowmere Rescue Team: to come back by ', json_encode($this->getJson("/api/stores/{$this->store()->id}/history")->json('entries.0')));
        $loan = collect($this->getJson('/api/loans?near=yes')->assertOk()->json())->firstWhere('id', $id);
        $this->assertSame(['Hollowmere Rescue Team', 0], [$loan['partner'], $loan['overdue_days']]);
        $lot = $loan['rows'][0]['lot_id'];
        $back = fn (int $pieces, string $under, array $more = []): TestResponse => $this->putJson(
            "/api/loans/{$id}/returns/{$under}", ['rows' => [['lot_id' => $lot, 'quantity' => $pieces]], ...$more],
        );
        $back(4, $this->ulid())->assertUnprocessable();
        $back(0, $this->ulid())->assertUnprocessable();
        $back(2, $once = $this->ulid())->assertOk();
        $back(2, $once)->assertOk();
        $this->assertSame($row['quantity'] - 1, $this->there($row), 'the same sent twice counts once');
        $back(0, $this->ulid(), ['final' => true])->assertUnprocessable();
        $back(1, $this->ulid())->assertOk();
        $this->assertSame($row['quantity'], $this->there($row));
        $this->assertNotContains($id, array_column($this->getJson('/api/loans?store='.$this->store()->id)->json(), 'id'));
        $this->actAs('member')->putJson("/api/loans/{$id}/day", ['due_on' => $today])->assertForbidden();
    }

    public function test_what_is_borrowed_lies_in_the_store_and_is_given_back(): void
    {
        $row = $this->actAs('keeper')->good();
        $today = app(\App\Accounts\Models\Organisation::class)->today();
        $this->work('borrow', [[...$row, 'quantity' => 5]], ['partner' => 'The base', 'due_on' => $today], $id = $this->ulid())->assertOk();
        $this->assertSame($row['quantity'] + 5, $this->there($row));
        $lot = DB::table('loan_rows')->where('loan_id', $id)->value('lot_id');
        $this->putJson("/api/loans/{$id}/returns/".$this->ulid(), [
            'rows' => [['lot_id' => $lot, 'quantity' => 4]], 'final' => true, 'note' => 'One was used, and paid for',
        ])->assertOk();
        $this->assertSame($row['quantity'] + 1, $this->there($row));
        $this->assertSame(2, DB::table('loan_terms')->where('loan_id', $id)->count());
    }

    public function test_part_of_a_pack_keeps_its_number_and_date_in_another_container(): void
    {
        $this->changesRowsByHand();
        // Where the store is, it is the next day already.
        app(\App\Accounts\Models\Organisation::class)->update(['time_zone' => 'Pacific/Auckland']);
        $this->travelTo(now()->setTime(23, 30));
        $row = $this->actAs('keeper')->good();
        $this->work('repack', [[...$row, 'quantity' => 4]], ['reason' => 'Screw-top jar'])->assertOk();
        $day = now()->addDay()->format('Y-m-d');
        $into = DB::table('lots')->where('number', 'like', '% repacked '.$day)->first();
        $this->assertSame("{$row['lot']} repacked {$day}", $into->number);
        $this->assertSame($row['expires'], $into->expires);
        $this->assertSame([$row['quantity'] - 4, 4], [$this->there($row), $this->there([...$row, 'lot' => $into->number])]);
        $this->assertNotNull($into->repacked_from_id);
    }

    public function test_a_price_far_below_what_is_usual_is_asked_about(): void
    {
        $item = $this->actAs('keeper')->getJson('/api/items/windlass-tourniquet')->json();
        $pack = collect($item['packs'])->first(static fn (array $pack): bool => $pack['price'] !== null);
        $row = ['item' => 'windlass-tourniquet', 'lot' => 'CHEAP1', 'expires' => '2031-05', 'quantity' => $pack['pieces'], 'packs' => 1];
        $cheap = [...$row, 'price' => intdiv($pack['price'], 3), 'new_lot' => true];
        $error = $this->work('receive', [$cheap])->assertUnprocessable()->json('errors')['rows.0.price'][0];
        $this->assertStringContainsString('Counterfeits', $error);
        $this->work('receive', [[...$cheap, 'price_checked' => true]])->assertOk();
        $this->work('receive', [[...$row, 'lot' => 'FAIR1', 'price' => $pack['price'] - 1, 'new_lot' => true]])->assertOk();
    }

    public function test_levels_are_proposed_from_what_went_into_kits_in_whole_packs(): void
    {
        $store = $this->store()->id;
        $proposed = $this->actAs('lead')->getJson("/api/stores/{$store}/proposed-levels")->assertOk()->json();
        $this->assertNotSame([], $proposed);
        foreach ($proposed as $one) {
            $this->assertGreaterThan(0, $one['least']);
            $this->assertGreaterThanOrEqual($one['least'], $one['target']);
            $this->assertSame(0, $one['pack'] === null ? 0 : $one['target'] % $one['pack'], $one['item']);
        }
        $first = $proposed[0];
        $this->putJson("/api/stores/{$store}/levels/{$first['item']}", ['least' => $first['least'], 'target' => $first['target']])->assertOk();
        $this->assertNotContains($first['item'], array_column($this->getJson("/api/stores/{$store}/proposed-levels")->json(), 'item'), 'what is set is not proposed');
        $level = collect($this->getJson("/api/stores/{$store}/levels")->json())->firstWhere('item', $first['item']);
        $this->assertSame([$first['least'], $first['pack']], [$level['least'], $level['pack']]);
    }

    public function test_at_the_end_of_a_shift_nothing_is_an_answer_that_is_signed(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $name = $this->person('keeper')->name;
        $this->handBack('QH-16', ['taken' => []])->assertUnprocessable();
        $this->handBack('QH-16', ['taken' => [], 'handed_back_by' => 'Somebody Else'])->assertUnprocessable();
        $after = $this->handBack('QH-16', ['taken' => [], 'handed_back_by' => $name])->assertOk()->json('kit');
        $this->assertSame([$kit['contents'], null], [$after['contents'], $after['used_on']]);
        $entry = $this->getJson('/api/kits/QH-16/history')->json('entries.0');
        $this->assertSame('Handed back at the end of a shift', $entry['title']);
        $shears = collect($kit['contents'])->firstWhere('comes_back', true);
        $this->assertNotNull($shears);
        $after = $this->handBack('QH-16', ['handed_back_by' => $name, 'taken' => [
            [...array_intersect_key($shears, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'quantity' => $shears['quantity'], 'why' => 'lost'],
        ]])->assertOk()->json('kit');
        $this->assertSame([], array_values(array_filter($after['contents'], static fn (array $one): bool => $one['item'] === $shears['item'])));
        $this->assertNotSame('ready', $after['verdict']['verdict'], 'it is judged without what is not back');
    }

    public function test_what_was_used_for_training_lies_in_the_store_as_a_training_piece(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $bandage = collect($kit['contents'])->firstWhere('item', 'triangular-bandage');
        $piece = [...array_intersect_key($bandage, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'quantity' => 1, 'why' => 'training'];
        $this->handBack('QH-16', ['taken' => [$piece]])->assertOk();
        $there = DB::table('holdings')->where('condition', 'training')->first();
        $this->assertSame([$bandage['lot_id'], 1], [$there->lot_id, (int) $there->quantity]);
        $row = ['item' => 'triangular-bandage', 'lot' => $bandage['lot'], 'expires' => $bandage['expires'], 'quantity' => 1, 'condition' => 'training'];
        $this->work('release', [$row], ['reason' => 'Washed'], store: $there->store_id)->assertUnprocessable();
        DB::table('items')->where('code', 'triangular-bandage')->update(['trains_again' => true]);
        $this->work('release', [$row], ['reason' => 'Washed'], store: $there->store_id)->assertOk();
        $this->assertSame(0, DB::table('holdings')->where('condition', 'training')->count());
    }

    /** @return array<string, mixed> a lot of the store of which there are many */
    private function good(): array
    {
        $rows = $this->getJson("/api/stores/{$this->store()->id}?sort=quantity&order=down&condition=good")->assertOk()->json('rows');
        $row = collect($rows)->first(static fn (array $one): bool => $one['lot'] !== null && $one['expires'] !== null && $one['good_until'] > now()->addMonths(3)->toDateString());

        return array_intersect_key($row, array_flip(['item', 'lot', 'expires', 'quantity']));
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function work(string $kind, array $rows, array $more = [], ?string $id = null, ?string $store = null): TestResponse
    {
        $store ??= $this->store()->id;
        $base = $this->getJson("/api/stores/{$store}")->json('base');

        return $this->putJson("/api/stores/{$store}/entries/".($id ?? $this->ulid()), [
            'kind' => $kind, 'begun_at' => now()->toIso8601ZuluString(), 'base' => $base, 'rows' => $rows, ...$more,
        ]);
    }

    /**
     * @param  array<string, mixed>  $sent
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function handBack(string $kit, array $sent): TestResponse
    {
        return $this->putJson("/api/kits/{$kit}/uses/".$this->ulid(), [
            'base' => $this->readKit($kit)['base'], 'begun_at' => now()->toIso8601ZuluString(), ...$sent,
        ]);
    }

    /** @param  array<string, mixed>  $row */
    private function there(array $row, string $condition = 'good'): int
    {
        return (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('store_id', $this->store()->id)->where('items.code', $row['item'])->where('lots.number', $row['lot'])
            ->where('holdings.condition', $condition)->sum('quantity');
    }
}
