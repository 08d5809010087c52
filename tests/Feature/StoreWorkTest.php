<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Stock\Models\Store;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Goods received, a shelf counted, pieces moved and disposed of: each an operation of the one record. */
final class StoreWorkTest extends TestCase
{
    private const GOOD = ['item' => 'shears', 'lot' => 'R7701', 'expires' => null, 'quantity' => 6];

    public function test_a_level_says_what_is_below_its_least_and_what_is_bought_up_to_its_target(): void
    {
        $store = $this->store()->id;
        $levels = collect($this->actAs('member')->getJson("/api/stores/{$store}/levels")->assertOk()->json())->keyBy('item');
        $this->assertSame([3, 4, 8], [$levels['haemostatic-gauze']['there'], $levels['haemostatic-gauze']['least'], $levels['haemostatic-gauze']['target']]);
        $this->assertSame('haemostatic-gauze', $levels->values()->first(static fn (array $one): bool => $one['item'] === 'haemostatic-gauze')['item']);
        $isBelow = $levels->values()->map(static fn (array $one): bool => $one['there'] < $one['least'])->all();
        $this->assertSame(collect($isBelow)->sortDesc()->values()->all(), $isBelow, 'what is below its least comes first');

        $row = fn (string $item): ?array => collect($this->getJson('/api/to-buy')->json('rows'))->firstWhere('item', $item);
        $before = $row('trauma-pad')['missing'] ?? 0;
        $there = (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'lot_id')->join('items', 'items.id', '=', 'item_id')
            ->where('items.code', 'trauma-pad')->whereNotNull('store_id')->where('condition', 'good')->sum('quantity');
        $this->actAs('lead')->putJson("/api/stores/{$store}/levels/trauma-pad", ['least' => $there + 1, 'target' => $there + 10])->assertOk();
        $this->assertSame([$before + 10, $there + 10], [$row('trauma-pad')['pieces'], $row('trauma-pad')['for_stores']]);
        $this->putJson("/api/stores/{$store}/levels/trauma-pad", ['least' => 1, 'target' => $there + 10])->assertOk();
        $this->assertNull($row('trauma-pad'), 'it is not below its least');
        $this->putJson("/api/stores/{$store}/levels/trauma-pad", ['least' => 9, 'target' => 3])->assertUnprocessable()
            ->assertJsonPath('errors.target.0', 'Fill up to: no fewer pieces than the least.');
        $left = $this->putJson("/api/stores/{$store}/levels/trauma-pad", ['least' => null, 'target' => null])->assertOk()->json();
        $this->assertNotContains('trauma-pad', array_column($left, 'item'));
        $this->actAs('keeper')->putJson("/api/stores/{$store}/levels/trauma-pad", ['least' => 1, 'target' => 3])->assertForbidden();
    }

    public function test_goods_are_received_once_with_what_came_with_them(): void
    {
        $id = $this->ulid();
        $work = [
            'kind' => 'receive', 'supplier' => 'Harbour Medical Supplies', 'delivery_note' => 'D-1188',
            'rows' => [['item' => 'shears', 'lot' => 'r7701', 'expires' => null, 'quantity' => 12, 'packs' => 2, 'price' => 1890]],
        ];
        $before = $this->pieces('shears');
        $this->actAs('keeper');
        foreach ([1, 2] as $time) {
            $this->work($work, $id)->assertOk();
            $this->assertSame($before + 12, $this->pieces('shears'), "Sent {$time} times.");
        }
        $receipt = DB::table('receipts')->orderByDesc('operation_number')->first();
        $this->assertSame([2, 1890, 'GBP', 'Harbour Medical Supplies', 'D-1188'], [
            (int) $receipt->packs, (int) $receipt->price, $receipt->currency, $receipt->supplier, $receipt->delivery_note,
        ]);
        $entry = $this->getJson("/api/stores/{$this->cupboard()->id}/history")->assertOk()->json('entries.0');
        $this->assertSame(['Received', 'Tobias Renn', 'from Harbour Medical Supplies, delivery note D-1188'], [$entry['title'], $entry['by'], $entry['note']]);
        $this->assertStringStartsWith('12 × ', $entry['movements'][0]);
        $this->artisan('ledger:verify')->assertSuccessful();
        $other = Store::query()->where('id', '!=', $this->cupboard()->id)->firstOrFail();
        $this->putJson("/api/stores/{$other->id}/entries/{$id}", $this->body($work))->assertUnprocessable();
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrongGoods(): iterable
    {
        $pad = ['item' => 'eyewash-pod', 'lot' => 'NEW-1', 'expires' => '2031-03', 'quantity' => 4];
        yield 'without the date that every pack has' => [['expires' => null] + $pad, 'rows.0.expires', 'Every pack of this item carries a date'];
        yield 'expired' => [['expires' => '2024-03'] + $pad, 'rows.0.expires', 'This expired on 31 Mar 2024'];
        yield 'no such month' => [['expires' => '2031-13'] + $pad, 'rows.0.expires', 'There is no such day or month'];
        yield 'none' => [['quantity' => 0] + $pad, 'rows.0.quantity', 'whole number'];
        yield 'half a piece' => [['quantity' => 1.5] + $pad, 'rows.0.quantity', 'whole number'];
        yield 'no such item' => [['item' => 'no-such'] + $pad, 'rows.0.item', 'no item "no-such"'];
        yield 'a key that is not known' => [['colour' => 'blue'] + $pad, 'rows.0', ''];
    }

    /** @param  array<string, mixed>  $row */
    #[DataProvider('wrongGoods')]
    public function test_goods_that_are_not_sound_are_refused_at_their_row(array $row, string $field, string $says): void
    {
        $errors = $this->actAs('keeper')->work(['kind' => 'receive', 'rows' => [$row]])->assertUnprocessable()->json('errors');
        $this->assertArrayHasKey($field, $errors);
        $this->assertStringContainsString($says, implode(' ', $errors[$field]));
    }

    public function test_a_lot_that_is_on_record_with_another_date_is_read_twice(): void
    {
        $lot = DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->where('items.code', 'eyewash-pod')->whereNotNull('number')
            ->first(['lots.number', 'lots.expires']);
        $row = ['item' => 'eyewash-pod', 'lot' => $lot->number, 'expires' => '2033-07', 'quantity' => 4];
        $error = $this->actAs('keeper')->work(['kind' => 'receive', 'rows' => [$row]])->assertUnprocessable()->json('errors')['rows.0.lot'][0];
        $this->assertStringContainsString('on record with another date', $error);
        $this->work(['kind' => 'receive', 'rows' => [['new_lot' => true] + $row]])->assertOk();
    }

    public function test_a_count_corrects_the_record_with_a_reason(): void
    {
        $this->actAs('keeper')->work(['kind' => 'receive', 'rows' => [self::GOOD]])->assertOk();
        $count = fn (int $pieces, ?string $reason) => $this->work(['kind' => 'count', 'reason' => $reason, 'rows' => [['quantity' => $pieces] + self::GOOD]]);
        $count(5, null)->assertUnprocessable()->assertJsonPath('errors.reason.0', fn (string $text): bool => str_contains($text, 'differs from the record'));
        $count(6, null)->assertOk();
        $count(5, 'One went to the school without a note')->assertOk();
        $this->assertSame(5, $this->lot('R7701'));
        $count(0, 'All given to the school')->assertOk();
        $this->assertSame(0, $this->lot('R7701'));
        $twice = ['kind' => 'count', 'reason' => 'Twice', 'rows' => [self::GOOD, self::GOOD]];
        $this->work($twice)->assertUnprocessable()->assertJsonPath('errors', fn (array $errors): bool => isset($errors['rows.1.lot']));
        $this->artisan('ledger:verify')->assertSuccessful();
    }

    public function test_a_count_that_arrives_late_leaves_what_was_moved_after_it(): void
    {
        $this->actAs('keeper')->work(['kind' => 'receive', 'rows' => [self::GOOD]])->assertOk();
        $count = $this->body(['kind' => 'count', 'reason' => 'Two were never there', 'rows' => [['quantity' => 4] + self::GOOD]]);
        $this->travel(30)->minutes();
        $this->work(['kind' => 'dispose', 'reason' => 'Rusty', 'rows' => [['quantity' => 1] + self::GOOD]])->assertOk();
        // Counted before that, without a network: four were there then, so three are there now.
        $this->putJson($this->path(), $count)->assertOk();
        $this->assertSame(3, $this->lot('R7701'));
    }

    public function test_what_moves_while_one_counts_is_counted_again(): void
    {
        $this->actAs('keeper')->work(['kind' => 'receive', 'rows' => [self::GOOD]])->assertOk();
        $this->travel(10)->minutes();
        $count = ['begun_at' => now()->toIso8601ZuluString(), 'done_at' => null] + $this->body(['kind' => 'count', 'reason' => 'Fewer', 'rows' => [['quantity' => 4] + self::GOOD]]);
        $this->travel(10)->minutes();
        $this->work(['kind' => 'dispose', 'reason' => 'Rusty', 'rows' => [['quantity' => 1] + self::GOOD]])->assertOk();
        $this->travel(10)->minutes();
        $errors = $this->putJson($this->path(), $count)->assertUnprocessable()->json('errors');
        $this->assertStringContainsString('while you counted', $errors['rows.0.quantity'][0]);
        $this->assertSame(5, $this->lot('R7701'), 'Nothing of it is recorded.');
    }

    public function test_pieces_move_to_another_store_and_never_more_than_there_are(): void
    {
        $other = Store::query()->where('id', '!=', $this->cupboard()->id)->firstOrFail();
        $this->actAs('keeper')->work(['kind' => 'receive', 'rows' => [self::GOOD]])->assertOk();
        $move = fn (int $pieces) => $this->work(['kind' => 'move', 'to_store' => $other->id, 'rows' => [['quantity' => $pieces] + self::GOOD]]);
        $move(7)->assertUnprocessable()->assertJsonPath('errors', ['rows.0.quantity' => ['7 were to be taken, but 6 are recorded there.']]);
        $move(4)->assertOk();
        $this->assertSame([2, 4], [$this->lot('R7701'), $this->lot('R7701', $other)]);
        $this->work(['kind' => 'move', 'to_store' => $this->cupboard()->id, 'rows' => [self::GOOD]])->assertUnprocessable();
        $this->work(['kind' => 'move', 'rows' => [self::GOOD]])->assertUnprocessable();
        $this->work(['kind' => 'dispose', 'rows' => [self::GOOD]])->assertUnprocessable()->assertJsonPath('errors.reason.0', 'Say why the pieces are disposed of.');
    }

    public function test_a_store_is_added_renamed_and_ended_once_it_is_empty(): void
    {
        $place = $this->cupboard()->place_id;
        $id = $this->ulid();
        $this->actAs('lead')->putJson("/api/stores/{$id}", ['name' => 'Lodge cupboard', 'place_id' => $place])->assertOk();
        $this->putJson("/api/stores/{$id}", ['name' => 'Potting shed cupboard', 'place_id' => $place])->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'Another store has this name. Name it so that the two can be told apart.');
        $this->putJson("/api/stores/{$id}", ['name' => 'Lodge cupboard, left', 'place_id' => $place])->assertOk()->assertJsonPath('name', 'Lodge cupboard, left');
        $this->putJson("/api/stores/{$id}/entries/{$this->ulid()}", $this->body(['kind' => 'receive', 'rows' => [self::GOOD]]))->assertOk();
        $this->putJson("/api/stores/{$id}/retirement")->assertUnprocessable()->assertJsonPath('errors.store.0', fn (string $text): bool => str_contains($text, '6 pieces'));
        $this->putJson("/api/stores/{$id}/entries/{$this->ulid()}", $this->body(['kind' => 'dispose', 'reason' => 'Too old', 'rows' => [self::GOOD]]))->assertOk();
        $this->assertNotContains($id, array_column($this->putJson("/api/stores/{$id}/retirement")->assertOk()->json(), 'id'));
        $this->putJson("/api/stores/{$id}/entries/{$this->ulid()}", $this->body(['kind' => 'receive', 'rows' => [self::GOOD]]))->assertUnprocessable();
    }

    public function test_what_kits_are_missing_and_no_store_has_is_on_one_list(): void
    {
        $rows = collect($this->actAs('keeper')->getJson('/api/to-buy')->assertOk()->json('rows'));
        $this->assertNotEmpty($rows);
        foreach ($rows as $row) {
            $this->assertSame(max(0, $row['missing'] + $row['for_stores'] - $row['in_stores']), $row['pieces']);
        }
        $first = $rows->firstWhere('item', '!=', null);
        $missing = DB::table('kit_wants')->where('item_code', $first['item'])->sum('pieces');
        $this->assertSame((int) $missing, $first['missing']);
        // What comes into a store is not to be bought any more.
        $dated = DB::table('items')->where('code', $first['item'])->value('dated');
        $this->work(['kind' => 'receive', 'rows' => [
            ['item' => $first['item'], 'lot' => 'BUY-1', 'expires' => $dated ? '2032-01' : null, 'quantity' => $first['pieces']],
        ]])->assertOk();
        $this->assertNotContains($first['item'], array_column($this->getJson('/api/to-buy')->json('rows'), 'item'));
        $sheet = $this->actAs('lead')->get('/api/to-buy?format=csv')->assertOk()->streamedContent();
        $this->assertStringStartsWith('item,name,missing,in_stores,for_stores,to_buy,for_a_critical_line,kits', ltrim($sheet, "\u{FEFF}"));
    }

    /**
     * @param  array<string, mixed>  $work
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function work(array $work, ?string $id = null): TestResponse
    {
        return $this->putJson($this->path($id), $this->body($work));
    }

    private function path(?string $id = null): string
    {
        return "/api/stores/{$this->cupboard()->id}/entries/".($id ?? $this->ulid());
    }

    /**
     * @param  array<string, mixed>  $work
     * @return array<string, mixed>
     */
    private function body(array $work): array
    {
        return [
            ...$work, 'begun_at' => now()->subMinutes(2)->toIso8601ZuluString(), 'done_at' => now()->toIso8601ZuluString(),
            'clock_checked_at' => now()->toIso8601ZuluString(),
            'base' => $this->getJson("/api/stores/{$this->cupboard()->id}")->json('base'),
        ];
    }

    private function cupboard(): Store
    {
        return Store::query()->where('name', 'Potting shed cupboard')->firstOrFail();
    }

    private function pieces(string $item): int
    {
        return (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('holdings.store_id', $this->cupboard()->id)->where('items.code', $item)->sum('quantity');
    }

    private function lot(string $number, ?Store $store = null): int
    {
        return (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
            ->where('holdings.store_id', ($store ?? $this->cupboard())->id)->where('lots.number', $number)->sum('quantity');
    }
}
