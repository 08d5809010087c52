<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Models\Movement;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class RestockTest extends TestCase
{
    public function test_the_list_takes_out_what_ran_out_and_puts_in_what_lasts(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->assertOk()->json();
        $this->assertSame(
            [['haemostatic-gauze', 'H4471', 'expired', 'discard']],
            array_map(static fn (array $row): array => [$row['item'], $row['lot'], $row['because'], $row['to']], $plan['out']),
        );
        $this->assertSame(
            [['haemostatic-gauze', 1, false]],
            array_map(static fn (array $row): array => [$row['item'], $row['quantity'], $row['short_dated']], $plan['in']),
        );
        $this->assertGreaterThanOrEqual($plan['until'], $plan['in'][0]['good_until']);
        $this->assertSame('Not into chest or belly; trained people only.', $plan['in'][0]['caution']);
    }

    public function test_a_restock_of_each_demo_kit_visits_each_pocket_once(): void
    {
        $this->actAs('keeper');
        $longest = 0;
        foreach (DB::table('kits')->whereNull('retired_on')->whereNull('parent_kit_id')->orderBy('code')->pluck('code') as $code) {
            $plan = $this->getJson("/api/kits/{$code}/restock")->assertOk()->json();
            $pockets = array_column([...$plan['in'], ...$plan['out']], 'pocket_id', 'step');
            ksort($pockets);
            $visits = [];
            foreach ($pockets as $pocket) {
                if (end($visits) !== $pocket) {
                    $visits[] = $pocket;
                }
            }
            $this->assertSame(array_values(array_unique($visits)), $visits, $code);
            $longest = max($longest, count($visits));
        }
        $this->assertGreaterThan(2, $longest);
    }

    public function test_done_it_makes_the_kit_ready_and_is_in_its_history(): void
    {
        $this->assertSame('not_ready', $this->actAs('keeper')->readKit('QH-07')['verdict']['verdict']);
        $plan = $this->getJson('/api/kits/QH-07/restock')->json();
        $this->do('QH-07', $plan)->assertOk()->assertJson(['kit' => ['verdict' => ['verdict' => 'ready']], 'unsettled' => []]);
        $entry = $this->getJson('/api/kits/QH-07/history')->json('entries.0');
        $this->assertSame(['restock', 'Restocked', 'Tobias Renn'], [$entry['kind'], $entry['title'], $entry['by']]);
        $texts = implode('|', array_column($entry['movements'], 'text'));
        $this->assertStringContainsString('disposed of, from Deep wounds, good', $texts);
        $this->assertStringContainsString('put into Deep wounds, from Potting shed cupboard', $texts);
        $this->assertSame('ready', DB::table('kit_states')->where('kit_id', $this->kit('QH-07')->id)->value('verdict'));
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_what_the_store_lacks_is_said(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-06/restock')->json();
        $this->assertSame(
            [['Eyewash pod, 20 ml', 3]],
            array_map(static fn (array $row): array => [$row['what'], $row['quantity']], $plan['missing']),
        );
        $this->do('QH-06', $plan)->assertOk()->assertJson(['kit' => ['verdict' => ['verdict' => 'limited']]]);
    }

    public function test_what_an_item_lacks_beside_it_is_put_in_too(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-11/restock')->json();
        $this->assertContains('failed', array_column($plan['out'], 'because'));
        $this->do('QH-11', $plan)->assertOk();
        $kinds = array_column($this->readKit('QH-11')['verdict']['reasons'], 'kind');
        $this->assertNotContains('unpaired', $kinds);
    }

    public function test_what_runs_out_early_goes_back_to_the_store(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-05/restock')->json();
        $early = collect($plan['out'])->firstWhere('lot', 'B2093');
        $this->assertSame(['expires_early', 'store'], [$early['because'], $early['to']]);
        $this->do('QH-05', $plan)->assertOk();
        $this->assertSame(
            2,
            (int) DB::table('holdings')->where('store_id', $this->store()->id)->where('lot_id', $early['lot_id'])->value('quantity'),
        );
    }

    public function test_another_lot_and_another_item_are_offered_with_what_the_line_accepts(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->assertOk()->json();
        $this->assertContains('haemostatic-gauze', $plan['in'][0]['accepts']);
        $this->assertSame('haemostatic-gauze', $plan['shelf'][0]['item'], 'what the line accepts comes first');
        $this->assertGreaterThan(5, count($plan['shelf']));
        $today = now()->toDateString();
        foreach ($plan['shelf'] as $row) {
            $this->assertTrue($row['good_until'] === null || $row['good_until'] >= $today, "{$row['name']} expired and is offered");
        }
    }

    public function test_what_was_not_in_the_store_is_taken_off_its_record_and_is_bought(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $lot = $plan['in'][0]['lot_id'];
        $held = $this->heldInStore($lot);
        $this->assertGreaterThan(0, $held);
        $body = ['in' => [], 'not_found' => [$lot]] + $this->body($plan);
        $this->putJson('/api/kits/QH-07/restocks/'.$this->ulid(), $body)->assertOk();
        $this->assertSame(0, $this->heldInStore($lot));
        $texts = array_merge(...array_column($this->getJson("/api/stores/{$plan['store']}/history")->json('entries'), 'movements'));
        $this->assertNotEmpty(preg_grep("/^{$held} × .*: fewer than recorded$/", $texts));
        $this->assertSame([], app(Verify::class)()->faults);
        $again = $this->getJson('/api/kits/QH-07/restock')->json();
        $this->assertNotContains($lot, array_column($again['in'], 'lot_id'), 'nothing is picked that is not there');
    }

    public function test_only_not_found_leaves_the_kit_and_its_seal_alone(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $kit = $this->kit('QH-07');
        DB::table('kits')->where('id', $kit->id)->update(['seal' => 'intact', 'seal_number' => 'S-1']);
        $body = ['in' => [], 'out' => [], 'seal_reason' => null, 'not_found' => [$plan['in'][0]['lot_id']]] + $this->body($plan);
        $this->putJson('/api/kits/QH-07/restocks/'.$this->ulid(), $body)->assertOk();
        $this->assertSame('intact', DB::table('kits')->where('id', $kit->id)->value('seal'));
        $this->assertSame(0, $this->heldInStore($plan['in'][0]['lot_id']));
    }

    public function test_what_came_after_somebody_looked_in_vain_stays(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $row = $plan['in'][0];
        $looked = now();
        $this->travel(20)->minutes();
        $this->putJson("/api/stores/{$plan['store']}/entries/".$this->ulid(), [
            'kind' => 'receive', 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'], 'to_store' => null, 'reason' => null,
            'rows' => [['item' => $row['item'], 'lot' => $row['lot'], 'expires' => $row['expires'], 'quantity' => 7, 'condition' => 'good']],
        ])->assertOk();
        $body = [
            'in' => [], 'out' => [], 'not_found' => [$row['lot_id']],
            'begun_at' => $looked->toIso8601ZuluString(), 'done_at' => $looked->toIso8601ZuluString(), 'clock_checked_at' => $looked->toIso8601ZuluString(),
        ] + $this->body($plan);
        $this->putJson('/api/kits/QH-07/restocks/'.$this->ulid(), $body)->assertOk();
        $this->assertSame(7, $this->heldInStore($row['lot_id']));
    }

    public function test_a_line_leaves_to_another_what_only_that_one_can_use(): void
    {
        $list = DB::table('lists')->where('code', 'bs-8599-1/small')->value('id');
        $design = $this->makeDesign($list, 'Small box');
        $this->postJson('/api/kits', [
            'id' => $this->ulid(), 'code' => 'QH-78', 'name' => 'Small box', 'design_id' => $design, 'place_id' => $this->kit('QH-01')->place_id,
            'scope' => 'first_aider', 'task' => null,
        ])->assertSuccessful();
        // As many of each as the kit wants; the large ones came first, and would do for the line of the medium ones too.
        $kept = fn (string $item): int => (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'lot_id')->join('items', 'items.id', '=', 'item_id')
            ->where('items.code', $item)->where('store_id', $this->store()->id)->orderBy('holdings.id')->value('holdings.id');
        foreach (['dressing-large', 'dressing-medium'] as $item) {
            DB::table('holdings')->join('lots', 'lots.id', '=', 'lot_id')->join('items', 'items.id', '=', 'item_id')
                ->where('items.code', $item)->where('store_id', $this->store()->id)->where('holdings.id', '!=', $kept($item))->delete();
            DB::table('holdings')->where('id', $kept($item))->update(['quantity' => 2]);
        }
        $plan = $this->getJson("/api/kits/QH-78/restock?store={$this->store()->id}")->assertOk()->json();
        $dressings = collect($plan['in'])->whereIn('item', ['dressing-large', 'dressing-medium'])->sortBy('need')->values()
            ->map(static fn (array $row): array => [$row['need'], $row['item'], $row['quantity']])->all();
        $this->assertSame([
            ['Large sterile dressing, pad with bandage', 'dressing-large', 2],
            ['Medium sterile dressing, pad with bandage', 'dressing-medium', 2],
        ], $dressings);
    }

    public function test_one_pick_list_promises_no_piece_twice(): void
    {
        $alone = fn (string $kit): array => $this->getJson("/api/pick-list?kits={$kit}&store={$this->store()->id}")->assertOk()->json();
        $this->actAs('keeper');
        $wanting = array_column($this->getJson('/api/kits?work=restock')->json('kits'), 'code');
        $this->assertGreaterThan(2, count($wanting));
        $list = $alone(implode(',', array_reverse($wanting)));
        $this->assertSame($wanting, array_column($list['kits'], 'code'), 'in walking order');
        foreach ($list['take'] as $row) {
            $there = DB::table('holdings')->join('lots', 'lots.id', '=', 'lot_id')->join('items', 'items.id', '=', 'lots.item_id')
                ->where('holdings.store_id', $this->store()->id)->where('holdings.condition', 'good')
                ->where('items.name', $row['name'])->where('lots.number', $row['lot'])->sum('holdings.quantity');
            $this->assertLessThanOrEqual((int) $there, $row['quantity'], $row['name']);
        }
        $in = collect($list['kits'])->flatMap(static fn (array $kit): array => array_filter($kit['rows'], static fn (array $one): bool => $one['way'] === 'in'));
        $this->assertSame($in->sum('quantity'), array_sum(array_column($list['take'], 'quantity')));
        $single = $alone($wanting[0]);
        $this->assertSame($single['kits'][0]['rows'], $list['kits'][0]['rows'], 'the first has what it would have alone');
    }

    public function test_a_pick_list_for_what_is_no_kit_or_too_many_is_refused_in_words(): void
    {
        $this->actAs('keeper')->getJson('/api/pick-list?kits=QH-01,QH-99')->assertUnprocessable()
            ->assertJsonPath('errors.kits.0', 'There is no kit in service called QH-99. Choose the kits again.');
        $many = implode(',', array_map(static fn (int $at): string => "QH-{$at}", range(100, 130)));
        $this->getJson("/api/pick-list?kits={$many}")->assertUnprocessable()->assertJsonPath(
            'errors.kits.0', 'A pick list is for at most 20 kits. Choose fewer, and print a second one.',
        );
    }

    private function heldInStore(string $lot): int
    {
        return (int) DB::table('holdings')->where('store_id', $this->store()->id)->where('lot_id', $lot)->where('condition', 'good')->value('quantity');
    }

    public function test_sent_twice_it_counts_once(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $id = $this->ulid();
        $this->do('QH-07', $plan, $id)->assertOk();
        $movements = Movement::query()->count();
        $this->do('QH-07', $plan, $id)->assertOk();
        $this->assertSame($movements, Movement::query()->count());
    }

    public function test_more_than_the_store_has_is_refused_whole(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $plan['in'][0]['quantity'] = 90;
        $before = Movement::query()->count();
        $errors = $this->do('QH-07', $plan)->assertUnprocessable()->json('errors');
        $this->assertStringContainsString('90 were to be taken', $errors['in.0.quantity'][0]);
        $this->assertSame($before, Movement::query()->count());
    }

    public function test_bad_input_is_said_where_it_arose(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $body = $this->body($plan);
        $address = "/api/kits/QH-07/restocks/{$this->ulid()}";
        $this->putJson($address, ['out' => [], 'in' => []] + $body)->assertUnprocessable()->assertJsonValidationErrors('in');
        $this->putJson(
            $address,
            ['in' => [['quantity' => 0] + $body['in'][0]]] + $body,
        )->assertUnprocessable()->assertJsonValidationErrors('in.0.quantity');
        $this->putJson(
            $address,
            ['in' => [['lot_id' => 'none'] + $body['in'][0]]] + $body,
        )->assertUnprocessable()->assertJsonValidationErrors('in.0.lot_id');
        $elsewhere = $this->readKit('QH-13')['leaves'][0]['pockets'][0]['id'];
        $this->putJson(
            $address,
            ['in' => [['pocket_id' => $elsewhere] + $body['in'][0]]] + $body,
        )->assertUnprocessable()->assertJsonValidationErrors('in.0.pocket_id');
        $this->putJson($address, ['whence' => 1] + $body)->assertUnprocessable()->assertJsonValidationErrors('whence');
    }

    public function test_a_sealed_kit_asks_why_it_was_opened(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-14');
        $row = $kit['contents'][0];
        $out = ['pocket_id' => $row['pocket_id'], 'lot_id' => $row['lot_id'], 'condition' => 'good', 'quantity' => 1, 'to' => 'discard'];
        $body = ['store' => $this->store()->id, 'begun_at' => now()->toIso8601ZuluString(), 'base' => $kit['base'], 'out' => [$out], 'in' => []];
        $this->putJson("/api/kits/QH-14/restocks/{$this->ulid()}", $body)->assertUnprocessable()->assertJsonValidationErrors('seal_reason');
        $this->putJson("/api/kits/QH-14/restocks/{$this->ulid()}", $body + ['seal_reason' => 'A glove was torn'])->assertOk()
            ->assertJson(['kit' => [
                'seal' => ['state' => 'broken', 'reason' => 'A glove was torn'],
                'due' => ['because' => 'seal', 'kind' => 'full'],
            ]]);
    }

    public function test_a_new_kit_is_filled_from_an_empty_bag(): void
    {
        $this->actAs('lead');
        $design = collect($this->getJson('/api/designs')->json())->firstWhere('code', 'bleeding-set');
        $place = collect($this->getJson('/api/places')->json('places'))->firstWhere('name', 'Saw shed');
        $kit = [
            'id' => $this->ulid(), 'code' => 'QH-20', 'name' => 'Spare set', 'design_id' => $design['id'],
            'place_id' => $place['id'], 'scope' => 'trained',
        ];
        $this->postJson('/api/kits', $kit)->assertCreated()->assertJson([
            'code' => 'QH-20', 'contents' => [], 'verdict' => ['verdict' => 'not_ready'],
            'due' => ['because' => 'first'],
        ]);
        $this->postJson('/api/kits', $kit)->assertCreated();
        $this->assertSame(1, \App\Kits\Models\Kit::query()->where('code', 'QH-20')->count());
        $plan = $this->getJson('/api/kits/QH-20/restock')->assertOk()->json();
        $this->assertSame([], $plan['missing']);
        $this->do('QH-20', $plan)->assertOk()->assertJson(['kit' => ['verdict' => ['verdict' => 'not_checked']]]);
        $check = $this->asRecorded($this->readKit('QH-20'));
        $this->finish($check)->assertOk()->assertJson(['verdict' => 'ready']);
        $this->assertSame('interval', $this->readKit('QH-20')['due']['because']);
        $other = ['id' => $this->ulid()] + $kit;
        $this->assertStringContainsString(
            'Another kit has this code',
            $this->postJson('/api/kits', $other)->assertUnprocessable()->json('errors.code.0'),
        );
        $this->postJson(
            '/api/kits',
            ['code' => 'qh 20', 'name' => '', 'design_id' => 'x'] + $other,
        )->assertUnprocessable()->assertJsonValidationErrors(['code', 'name', 'design_id']);
    }

    public function test_a_line_by_class_is_filled_with_what_the_store_has_of_it(): void
    {
        $this->actAs('lead');
        $design = collect($this->getJson('/api/designs')->json())->firstWhere('code', 'workplace-medium');
        $place = collect($this->getJson('/api/places')->json('places'))->firstWhere('name', 'Ground floor desk');
        $this->postJson(
            '/api/kits',
            [
                'id' => $this->ulid(), 'code' => 'QH-21', 'name' => 'Second desk box', 'design_id' => $design['id'],
                'place_id' => $place['id'], 'scope' => 'first_aider',
            ],
        )->assertCreated();
        $plan = $this->getJson('/api/kits/QH-21/restock')->json();
        $this->assertContains('triangular-bandage', array_column($plan['in'], 'item'));
        $large = collect($plan['in'])->where('line', 'L4')->pluck('item')->unique()->all();
        $this->assertNotContains('dressing-medium', $large, 'A medium dressing never replaces a large one.');
        $this->do('QH-21', $plan)->assertOk();
        $this->assertSame([], app(Verify::class)()->faults);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return array<string, mixed>
     */
    private function body(array $plan): array
    {
        return [
            'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'],
            'out' => array_map(
                static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'quantity', 'to'])),
                $plan['out'],
            ),
            'in' => array_map(
                static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'quantity'])),
                $plan['in'],
            ),
        ];
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function do(string $kit, array $plan, ?string $id = null): TestResponse
    {
        return $this->putJson("/api/kits/{$kit}/restocks/".($id ?? $this->ulid()), $this->body($plan));
    }
}
