<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Several kits are restocked on one round: what is most needed is picked first, for all of them, and nothing is promised twice. */
final class RoundTest extends TestCase
{
    private const KITS = ['QH-05', 'QH-06', 'QH-07', 'QH-10', 'QH-11'];

    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults);
        parent::tearDown();
    }

    public function test_a_round_over_five_kits_is_walked_to_its_end(): void
    {
        $round = $this->actAs('keeper')->begin($id = $this->ulid())->assertOk()->json();
        $this->begin($id)->assertOk();
        $this->assertSame([1, 5], [DB::table('restock_rounds')->count(), count($round['kits'])]);
        $this->assertSame('QH-05 is on another round already. End that first, or leave the kit out.', $this->putJson(
            '/api/rounds/'.$this->ulid().'?kits=QH-05&store='.$this->store()->id,
        )->assertUnprocessable()->json('errors.kits.0'));
        foreach (self::KITS as $at => $code) {
            $plan = $this->getJson("/api/kits/{$code}/restock?store={$round['store']}")->assertOk()->json();
            $in = array_map(static fn (array $row): array => [...array_intersect_key($row, array_flip(['lot_id', 'quantity'])), 'pocket_id' => $row['pocket_id']], $plan['in']);
            $picked = DB::table('restock_round_picks')->join('kits', 'kits.id', '=', 'restock_round_picks.kit_id')->where('kits.code', $code)
                ->orderBy('lot_id')->pluck('quantity', 'lot_id')->map(static fn ($pieces): int => (int) $pieces)->all();
            $planned = [];
            foreach ($plan['in'] as $row) {
                $planned[$row['lot_id']] = ($planned[$row['lot_id']] ?? 0) + $row['quantity'];
            }
            ksort($planned);
            $this->assertSame($picked, $planned, "What lies in the box for {$code} is what its list says");
            if ($in === []) {
                $this->putJson("/api/rounds/{$id}/kits/{$code}/skipping", [])->assertUnprocessable();
                $this->putJson("/api/rounds/{$id}/kits/{$code}/skipping", ['reason' => 'The store has nothing for it'])->assertOk();

                continue;
            }
            $this->putJson("/api/kits/{$code}/restocks/".$this->ulid(), [
                'store' => $round['store'], 'base' => $plan['base'], 'begun_at' => now()->toIso8601ZuluString(), 'seal_reason' => 'Restocked', 'out' => [],
                'in' => $in, 'round_id' => $id,
            ])->assertOk();
            $this->putJson("/api/rounds/{$id}/kits/{$code}/skipping", ['reason' => 'x'])->assertUnprocessable();
        }
        $this->assertTrue($this->getJson("/api/rounds/{$id}")->json('is_ended'));
        $this->assertSame([], $this->getJson('/api/rounds')->json());
    }

    public function test_what_lies_in_the_box_for_one_kit_is_promised_to_no_other(): void
    {
        $round = $this->actAs('keeper')->begin($id = $this->ulid())->assertOk()->json();
        $promised = DB::table('restock_round_picks')->selectRaw('lot_id, SUM(quantity) AS pieces')->groupBy('lot_id')->pluck('pieces', 'lot_id');
        $there = DB::table('holdings')->where('store_id', $round['store'])->where('condition', 'good')->pluck('quantity', 'lot_id');
        foreach ($promised as $lot => $pieces) {
            $this->assertLessThanOrEqual((int) $there[$lot], (int) $pieces);
        }
        foreach ($this->getJson("/api/kits/QH-03/restock?store={$round['store']}")->json('in') as $row) {
            $this->assertLessThanOrEqual((int) $there[$row['lot_id']] - (int) ($promised[$row['lot_id']] ?? 0), $row['quantity']);
        }
        $this->putJson("/api/rounds/{$id}/end")->assertOk()->assertJsonPath('is_ended', true);
        $this->actAs('member')->putJson('/api/rounds/'.$this->ulid().'?kits=QH-05')->assertForbidden();
    }

    public function test_no_more_is_picked_than_the_store_has_however_many_want_it(): void
    {
        $this->actAs('keeper');
        $store = $this->store()->id;
        // Two are left, and both kits want more of them.
        $shelf = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('store_id', $store)->where('items.code', 'triangular-bandage')->where('holdings.condition', 'good')->orderByDesc('lots.good_until')->get(['lots.number', 'lots.expires', 'quantity']);
        $this->putJson("/api/stores/{$store}/entries/".$this->ulid(), [
            'kind' => 'dispose', 'begun_at' => now()->toIso8601ZuluString(), 'base' => $this->getJson("/api/stores/{$store}")->json('base'), 'reason' => 'Wet',
            'rows' => $shelf->map(static fn ($row, int $at): array => [
                'item' => 'triangular-bandage', 'lot' => $row->number, 'expires' => $row->expires, 'quantity' => $row->quantity - ($at === 0 ? 2 : 0),
            ])->filter(static fn (array $row): bool => $row['quantity'] > 0)->values()->all(),
        ])->assertOk();
        foreach (['QH-01', 'QH-02'] as $code) {
            $kit = $this->readKit($code);
            $taken = array_values(array_filter($kit['contents'], static fn (array $row): bool => $row['item'] === 'triangular-bandage'));
            $this->putJson("/api/kits/{$code}/uses/".$this->ulid(), [
                'base' => $kit['base'], 'begun_at' => now()->toIso8601ZuluString(),
                'taken' => array_map(static fn (array $row): array => [
                    ...array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on', 'quantity'])), 'why' => 'used',
                ], $taken),
            ])->assertOk();
        }
        $round = $this->putJson('/api/rounds/'.$this->ulid()."?kits=QH-01,QH-02&store={$store}")->assertOk()->json();
        $bandages = array_values(array_filter($round['box'], static fn (array $row): bool => str_contains($row['name'], 'Triangular bandage')));
        $this->assertSame([2], array_column($bandages, 'quantity'), 'all that is left is picked, and no more');
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response> */
    private function begin(string $id): \Illuminate\Testing\TestResponse
    {
        return $this->putJson("/api/rounds/{$id}?kits=".implode(',', self::KITS).'&store='.$this->store()->id);
    }
}
