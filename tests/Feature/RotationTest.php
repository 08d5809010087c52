<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What would expire where it lies moves to where it will be used, with pieces of the store standing in until the exchange comes. */
final class RotationTest extends TestCase
{
    private const ITEM = 'wipe-sterile';

    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults);
        parent::tearDown();
    }

    public function test_a_plan_is_agreed_carried_out_and_ends(): void
    {
        [$busy, $quiet] = $this->actAs('keeper')->busyAndQuiet();
        $before = [$this->pieces($busy), $this->pieces($quiet)];
        $shown = $this->getJson('/api/rotation')->assertOk()->json();
        $this->assertNull($shown['id']);
        $moves = array_values(array_filter($shown['moves'], static fn (array $move): bool => $move['item'] === self::ITEM));
        $this->assertNotSame([], $moves, json_encode($shown));
        $this->assertGreaterThan(0, $shown['saved']);
        $this->putJson('/api/rotations/'.($id = $this->ulid()))->assertOk()->assertJsonPath('id', $id);
        $this->putJson("/api/rotations/{$id}")->assertOk();
        $this->putJson('/api/rotations/'.$this->ulid())->assertUnprocessable();
        $this->assertSame(1, DB::table('rotations')->count());
        [$store, $first] = [$this->inStores(), null];
        foreach ($this->getJson('/api/rotation')->json('moves') as $move) {
            $there = $this->inStores();
            $this->putJson("/api/rotation-moves/{$move['id']}/operations/".($once = $this->ulid()))->assertOk();
            $this->putJson("/api/rotation-moves/{$move['id']}/operations/{$once}")->assertOk();
            $this->putJson("/api/rotation-moves/{$move['id']}/operations/".$this->ulid())->assertUnprocessable();
            $first ??= $move['item'] === self::ITEM ? [$there, $this->inStores()] : null;
        }
        $this->assertNotNull($first);
        $this->assertLessThan($first[0], $first[1], 'the store stands in until the exchange comes');
        $this->assertNotNull(DB::table('rotations')->where('id', $id)->value('ended_on'), 'nothing is left to do');
        $this->assertSame($before, [$this->pieces($busy), $this->pieces($quiet)], 'every kit has as many as it had');
        $this->assertSame($store, $this->inStores(), 'what stood in went back');
        $this->assertNull($this->getJson('/api/rotation')->json('id'));
    }

    public function test_what_stands_in_is_not_staged_until_somebody_says_so(): void
    {
        [$busy, $quiet] = $this->actAs('keeper')->busyAndQuiet();
        DB::table('items')->where('code', self::ITEM)->update(['staging' => 'Loosen the wrapper']);
        DB::table('organisations')->update(['asks_staging' => true]);
        $this->putJson('/api/rotations/'.$this->ulid())->assertOk();
        $moves = array_values(array_filter(
            $this->getJson('/api/rotation')->json('moves'), static fn (array $move): bool => $move['item'] === self::ITEM,
        ));
        $found = fn (string $kit): array => array_values(array_filter(
            array_column($this->readKit($kit)['verdict']['reasons'], 'text'), static fn (string $text): bool => str_contains($text, 'Loosen the wrapper'),
        ));
        $this->assertSame([[], []], [$found($busy), $found($quiet)]);
        $this->putJson("/api/rotation-moves/{$moves[0]['id']}/operations/".$this->ulid())->assertOk();
        $this->assertCount(1, $found($moves[0]['from']), 'nobody said of what came from the store that it is staged');
        $this->assertSame([], $found($moves[0]['to']));
        // The exchange comes from a kit that has all of it staged; of the one that it comes to somebody has to say so.
        $back = collect($moves)->firstWhere('to', $moves[0]['from']);
        $this->assertNotNull($back);
        $this->putJson("/api/rotation-moves/{$back['id']}/operations/".$this->ulid())->assertOk();
        $this->assertCount(1, $found($back['to']), 'until somebody says that it is staged');
        $this->putJson("/api/kits/{$back['to']}/staging/".$this->ulid(), ['item' => self::ITEM])->assertOk();
        $this->assertSame([], $found($back['to']));
    }

    public function test_what_is_not_there_any_more_is_refused_and_can_be_left_out(): void
    {
        $this->actAs('keeper')->busyAndQuiet();
        $this->putJson('/api/rotations/'.($id = $this->ulid()))->assertOk();
        $move = $this->getJson('/api/rotation')->json('moves.0');
        $lot = DB::table('rotation_moves')->where('id', $move['id'])->value('lot_id');
        $kit = $this->readKit($move['from']);
        $rows = array_values(array_filter($kit['contents'], static fn (array $row): bool => $row['lot_id'] === $lot));
        $this->use($move['from'], array_map(static fn (array $row): array => [$row, $row['quantity']], $rows));
        $this->putJson("/api/rotation-moves/{$move['id']}/operations/".$this->ulid())->assertUnprocessable()->assertJsonStructure(['errors' => ['move']]);
        $this->putJson("/api/rotation-moves/{$move['id']}/dropping", [])->assertUnprocessable();
        $this->putJson("/api/rotation-moves/{$move['id']}/dropping", ['reason' => 'They were used'])->assertOk();
        $this->actAs('member')->putJson("/api/rotations/{$id}/end")->assertForbidden();
        $this->actAs('keeper')->putJson("/api/rotations/{$id}/end")->assertOk()->assertJsonPath('id', null);
    }

    public function test_what_is_picked_for_a_round_does_not_stand_in(): void
    {
        $this->actAs('keeper')->busyAndQuiet();
        $this->putJson('/api/rotations/'.$this->ulid())->assertOk();
        $move = collect($this->getJson('/api/rotation')->json('moves'))->firstWhere('item', self::ITEM);
        // All of the item that the store has lies in the box of a round for another kit.
        DB::table('restock_rounds')->insert([
            'id' => $round = $this->ulid(), 'store_id' => $this->store()->id, 'made_by_id' => \Illuminate\Support\Facades\Auth::id(), 'made_at' => now(),
        ]);
        $kit = $this->kit('QH-07')->id;
        DB::table('restock_round_kits')->insert(['round_id' => $round, 'kit_id' => $kit, 'position' => 0]);
        $there = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereNotNull('store_id')->where('items.code', self::ITEM)->where('quantity', '>', 0)->get(['lot_id', 'quantity']);
        DB::table('restock_round_picks')->insert($there->map(static fn ($row): array => [
            'round_id' => $round, 'kit_id' => $kit, 'lot_id' => $row->lot_id, 'quantity' => $row->quantity,
        ])->all());
        $before = $this->inStores();
        $this->putJson("/api/rotation-moves/{$move['id']}/operations/".$this->ulid())->assertOk();
        $this->assertSame([$before, 0], [$this->inStores(), DB::table('rotation_floats')->count()], 'it is promised');
    }

    public function test_what_critical_lines_take_is_never_offered(): void
    {
        $this->actAs('keeper')->busyAndQuiet();
        DB::table('lines')->whereIn('id', DB::table('line_entries')->leftJoin('items', 'items.id', '=', 'line_entries.item_id')
            ->where('items.code', self::ITEM)->orWhere('line_entries.class', 'like', 'wipe%')->select('line_entries.line_id'))->update(['rank' => 'critical']);
        app(\App\Judging\KitStates::class)->mark();
        $this->assertNotContains(self::ITEM, array_column($this->getJson('/api/rotation')->json('moves'), 'item'));
    }

    /** @return array{string, string} a kit that uses what it has of later date, and one that uses none and whose pieces expire sooner */
    private function busyAndQuiet(): array
    {
        $days = app(\App\Uses\UseRates::class)->daysOnRecord(now()->toDateString()) + 200;
        DB::table('shortfalls')->update(['why' => 'moved']);
        $this->fill('QH-01', 'BUSY', now()->addDays(3 * $days)->toDateString());
        $this->fill('QH-13', 'QUIET', now()->addDays($days)->toDateString());
        $row = collect($this->readKit('QH-01')['contents'])->firstWhere('lot', 'BUSY');
        // By the day on which the other's expire it will have come to the third of its pieces.
        for ($time = 0; $time < 3; $time++) {
            $this->use('QH-01', [[$row, 1]]);
        }

        return ['QH-01', 'QH-13'];
    }

    /** In place of what the kit has of the item come as many of that lot. */
    private function fill(string $code, string $lot, string $expires): void
    {
        $store = $this->store()->id;
        $kit = $this->readKit($code);
        $old = array_values(array_filter($kit['contents'], static fn (array $row): bool => $row['item'] === self::ITEM));
        $pieces = max(6, (int) array_sum(array_column($old, 'quantity')));
        $this->putJson("/api/stores/{$store}/entries/".$this->ulid(), [
            'kind' => 'receive', 'begun_at' => now()->toIso8601ZuluString(), 'base' => $kit['base'],
            'rows' => [['item' => self::ITEM, 'lot' => $lot, 'expires' => $expires, 'quantity' => $pieces, 'new_lot' => true]],
        ])->assertOk();
        $this->putJson("/api/kits/{$code}/restocks/".$this->ulid(), [
            'store' => $store, 'base' => $this->readKit($code)['base'], 'begun_at' => now()->toIso8601ZuluString(), 'seal_reason' => 'Exchanged',
            'out' => array_map(static fn (array $row): array => [
                ...array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on', 'quantity'])), 'to' => 'store',
            ], $old),
            'in' => [['pocket_id' => $old[0]['pocket_id'] ?? $kit['contents'][0]['pocket_id'], 'lot_id' => DB::table('lots')->where('number', $lot)->value('id'), 'quantity' => $pieces]],
        ])->assertOk();
    }

    /** @param  list<array{array<string, mixed>, int}>  $taken */
    private function use(string $kit, array $taken): void
    {
        $this->putJson("/api/kits/{$kit}/uses/".$this->ulid(), [
            'base' => $this->readKit($kit)['base'], 'begun_at' => now()->toIso8601ZuluString(),
            'taken' => array_map(static fn (array $one): array => [
                ...array_intersect_key($one[0], array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'quantity' => $one[1], 'why' => 'used',
            ], $taken),
        ])->assertOk();
    }

    private function pieces(string $kit): int
    {
        return (int) collect($this->readKit($kit)['contents'])->where('item', self::ITEM)->sum('quantity');
    }

    private function inStores(): int
    {
        return (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('items.code', self::ITEM)->whereNotNull('store_id')->sum('quantity');
    }
}
