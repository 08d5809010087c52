<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** A kit is repacked: it is not ready meanwhile, every piece is accounted for, it is handed over, and recorded once. */
final class BuildTest extends TestCase
{
    public function test_a_kit_that_is_packed_anew_is_not_ready_until_that_is_recorded(): void
    {
        $before = $this->actAs('keeper')->readKit('QH-16');
        $this->assertSame(['ready', null], [$before['verdict']['verdict'], $before['build']]);
        $id = $this->begin('QH-16');
        $this->begin('QH-16', $id);
        $now = $this->readKit('QH-16');
        $this->assertSame('not_ready', $now['verdict']['verdict']);
        $this->assertSame('Not ready. Do not use this kit: 1 critical fault. It is being repacked.', $now['verdict']['sentence']);
        $this->assertSame(['repacking', 'stop', 'build'], array_values(array_intersect_key($now['verdict']['reasons'][0], array_flip(['kind', 'severity', 'job']))));
        $this->assertSame('Tobias Renn', $now['build']['by']);
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $now['id'])->value('verdict'));
        foreach (DB::table('kit_shift_states')->where('kit_id', $now['id'])->pluck('verdict') as $shift) {
            $this->assertSame('not_ready', $shift);
        }
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-16');
        $this->assertSame(['stop', 'build', 'not_ready'], [$row['band'], $row['job'], $row['verdict']]);
        // A full check finds everything there; the bag may be emptied again the next moment.
        $this->finish($this->asRecorded($now))->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-16')['verdict']['verdict']);
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $now['id'])->value('verdict'));
        $plan = $this->plan('QH-16');
        $this->record('QH-16', $id, $this->asPlanned($plan))->assertOk();
        $this->assertSame(['ready', null], [$this->readKit('QH-16')['verdict']['verdict'], $this->readKit('QH-16')['build']]);
        $this->assertSame('recorded', DB::table('builds')->where('id', $id)->value('outcome'));
        $this->assertSame(0, Artisan::call('ledger:verify'));
        $this->assertSame(0, Artisan::call('kits:verify'));
    }

    public function test_a_module_that_is_packed_anew_lowers_the_kit_that_it_is_in(): void
    {
        $this->actAs('keeper');
        $id = $this->begin('QH-M1');
        $this->assertStringContainsString('has been repacking QH-M1', $this->readKit('QH-17')['verdict']['reasons'][0]['text']);
        $this->assertSame('not_ready', DB::table('kit_states')->where('code', 'QH-17')->value('verdict'));
        $this->putJson("/api/kits/QH-M1/builds/{$id}/end", ['outcome' => 'nothing_moved'])->assertNoContent();
        $this->assertNotContains('repacking', array_column($this->readKit('QH-17')['verdict']['reasons'], 'kind'));
    }

    public function test_only_what_the_design_asks_for_goes_back_in(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-03');
        $plan = $this->plan('QH-03');
        $this->assertSame(array_sum(array_column($kit['contents'], 'quantity')), array_sum(array_column($plan['pieces'], 'quantity')), 'everything comes out');
        $pockets = array_merge(...array_map(static fn (array $leaf): array => array_column($leaf['pockets'], 'id'), $kit['leaves']));
        $this->assertEqualsCanonicalizing($pockets, $plan['order']);
        foreach ($plan['pieces'] as $piece) {
            $back = array_sum(array_column($piece['back'], 'quantity'));
            $this->assertLessThanOrEqual($piece['quantity'], $back);
            $this->assertSame($back < $piece['quantity'], $piece['because'] !== null, "{$piece['name']}: what does not go back has a reason");
        }
        $done = $this->record('QH-03', $this->ulid(), $this->asPlanned($plan))->assertOk()->json('kit');
        $this->assertNotContains('expired', array_column($done['verdict']['reasons'], 'kind'), 'nothing that has expired went back');
        foreach ($done['contents'] as $row) {
            $this->assertContains($row['pocket_id'], $pockets);
        }
        // Packed again there is nothing to do: all of it goes back where it is.
        $again = $this->plan('QH-03');
        foreach ($again['pieces'] as $piece) {
            $this->assertSame([['pocket_id' => $piece['pocket_id'], 'quantity' => $piece['quantity']]], $piece['back'], $piece['name']);
        }
    }

    public function test_every_piece_is_accounted_for(): void
    {
        $this->actAs('keeper');
        $sent = $this->asPlanned($this->plan('QH-16'));
        $without = $sent;
        array_pop($without['pieces']);
        $this->record('QH-16', $this->ulid(), $without)->assertUnprocessable()
            ->assertJsonPath('errors.pieces.0', fn (string $text): bool => str_contains($text, 'on record, and not accounted for'));
        $wrong = $sent;
        $wrong['pieces'][0]['found']++;
        $this->record('QH-16', $this->ulid(), $wrong)->assertUnprocessable()->assertJsonStructure(['errors' => ['pieces.0.found']]);
        $twice = $sent;
        $twice['pieces'][] = $twice['pieces'][0];
        $this->record('QH-16', $this->ulid(), $twice)->assertUnprocessable();
        // One is missing, and of another there is one more than on record: both are counted.
        $many = array_keys(array_filter($sent['pieces'], static fn (array $one): bool => $one['found'] > 1 && $one['back'] !== []));
        [$less, $more] = $many;
        $sent['pieces'][$less]['found']--;
        $sent['pieces'][$less]['back'][0]['quantity']--;
        $sent['pieces'][$more]['found']++;
        $sent['pieces'][$more]['to_store']++;
        $there = $this->pieces($sent['store'], $sent['pieces'][$more]['lot_id']);
        $this->record('QH-16', $id = $this->ulid(), $sent)->assertOk();
        $number = DB::table('operations')->where('id', $id)->value('number');
        $moved = DB::table('movements')->where('operation_number', $number)->where('reason', 'counted')->get();
        $this->assertSame([1, 1], $moved->pluck('quantity')->map(intval(...))->all());
        $this->assertSame($there + 1, $this->pieces($sent['store'], $sent['pieces'][$more]['lot_id']));
        $this->assertSame(0, Artisan::call('ledger:verify'));
    }

    public function test_what_is_prepared_and_weighed_is_on_record_and_a_doubtful_mass_is_asked_about(): void
    {
        $this->actAs('keeper');
        $plan = $this->plan('QH-16');
        $tasks = array_filter(array_column($plan['items'], 'task', 'item'));
        $this->assertContains('Test the torch', $tasks);
        $sent = $this->asPlanned($plan);
        $this->assertNotSame([], $sent['prepared']);
        $sent['prepared'][0]['done'] = false;
        $mass = $this->readKit('QH-16')['verdict']['mass_g'];
        $this->record('QH-16', $this->ulid(), [...$sent, 'weighed_g' => (int) ($mass * 1.06) + 1])->assertUnprocessable()
            ->assertJsonPath('errors.weighed_because.0', fn (string $text): bool => str_contains($text, 'more than 5 % apart'));
        $id = $this->ulid();
        $this->record('QH-16', $id, [...$sent, 'weighed_g' => (int) ($mass * 1.06) + 1, 'weighed_because' => 'The wet blanket'])->assertOk();
        $number = DB::table('operations')->where('id', $id)->value('number');
        $this->assertSame([$mass, 'The wet blanket'], array_values((array) DB::table('weighings')->where('operation_number', $number)->first(['computed_g', 'because'])));
        $this->assertSame(count($sent['prepared']), DB::table('preparations')->where('operation_number', $number)->count());
        $this->assertSame(1, DB::table('preparations')->where('operation_number', $number)->where('is_done', false)->count());
        $entry = $this->getJson('/api/kits/QH-16/history')->json('entries.0');
        $this->assertSame('Built', $entry['title']);
        $this->assertStringContainsString('The wet blanket', implode(' ', $entry['notes']));
        $this->assertStringContainsString('Not prepared', implode(' ', $entry['notes']));
    }

    public function test_it_is_handed_over_half_done_and_taken_up_by_one(): void
    {
        $this->actAs('keeper');
        $id = $this->begin('QH-16');
        $left = ['version' => 1, 'work' => '{"step":2}', 'pockets_packed' => 2, 'pockets' => 5, 'note' => 'The torch wants a battery'];
        $this->actAs('lead')->putJson("/api/kits/QH-16/builds/{$id}/leaving", $left)->assertUnprocessable();
        $this->postJson("/api/kits/QH-16/builds/{$id}/taking", ['seen' => null])->assertUnprocessable();
        $this->actAs('keeper')->putJson("/api/kits/QH-16/builds/{$id}/leaving", [...$left, 'work' => '{'])->assertUnprocessable();
        $this->putJson("/api/kits/QH-16/builds/{$id}/leaving", $left)->assertNoContent();
        $build = $this->actAs('lead')->readKit('QH-16')['build'];
        $this->assertSame(['Tobias Renn', 'The torch wants a battery', 2, 5, null], [
            $build['left_by'], $build['left_note'], $build['pockets_packed'], $build['pockets'], $build['taken_by'],
        ]);
        foreach ([1, 2] as $time) {
            $this->postJson("/api/kits/QH-16/builds/{$id}/taking", ['seen' => null])->assertOk()->assertJson(['version' => 1, 'work' => '{"step":2}']);
        }
        $this->assertStringContainsString('Maren Oduya has been repacking', $this->readKit('QH-16')['verdict']['reasons'][0]['text']);
        // Another who saw it free comes too late; who sees that it was taken up may take it over.
        $this->actAs('keeper')->postJson("/api/kits/QH-16/builds/{$id}/taking", ['seen' => null])->assertUnprocessable();
        $this->postJson("/api/kits/QH-16/builds/{$id}/taking", ['seen' => $this->person('lead')->id])->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-16')['verdict']['verdict']);
        // Both have it on their devices now: the first to record it is the one who did.
        $sent = $this->asPlanned($this->plan('QH-16'));
        $this->record('QH-16', $id, $sent)->assertOk();
        $this->record('QH-16', $id, $sent)->assertOk();
        $this->actAs('lead')->record('QH-16', $id, $sent)->assertUnprocessable();
        $this->assertSame(1, DB::table('operations')->where('kind', 'build')->count());
        $this->assertNull(DB::table('builds')->where('id', $id)->value('left_work'), 'what it was is on record');
        $this->postJson("/api/kits/QH-16/builds/{$id}/taking", ['seen' => null])->assertUnprocessable();
    }

    public function test_a_seal_is_broken_with_a_reason_and_set_at_the_end(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-M1');
        $this->assertSame('intact', $kit['seal']['state']);
        $id = $this->begin('QH-M1');
        $this->putJson("/api/kits/QH-M1/builds/{$id}/end", ['outcome' => 'put_back'])->assertUnprocessable();
        $sent = $this->asPlanned($this->plan('QH-M1'));
        $this->record('QH-M1', $id, $sent)->assertUnprocessable()->assertJsonStructure(['errors' => ['seal_reason']]);
        $this->record('QH-M1', $id, [...$sent, 'seal_reason' => 'Repacked', 'seal_set' => 'N-771'])->assertOk();
        $this->assertSame(['intact', 'N-771'], array_values((array) DB::table('kits')->where('code', 'QH-M1')->first(['seal', 'seal_number'])));
    }

    public function test_what_was_recorded_meanwhile_is_not_lost(): void
    {
        $this->actAs('keeper');
        $sent = $this->asPlanned($plan = $this->plan('QH-16'));
        $check = $this->asRecorded($this->readKit('QH-16'));
        $many = (int) array_key_first(array_filter($check['rows'], static fn (array $row): bool => $row['quantity'] > 1));
        $check['rows'][$many]['quantity'] = 1;
        $this->finish($check)->assertOk();
        $row = $check['rows'][$many];
        $moved = (int) array_key_first(array_filter($plan['pieces'], static fn (array $one): bool => [$one['pocket_id'], $one['item'], $one['lot']]
            === [$row['pocket_id'], $row['item'], $row['lot']]));
        $sent['pieces'][$moved] = [...$sent['pieces'][$moved], 'back' => [], 'to_store' => $sent['pieces'][$moved]['found']];
        $answer = $this->record('QH-16', $this->ulid(), $sent)->assertOk()->json();
        $this->assertSame('order_in_doubt', $answer['unsettled'][0]['because'] ?? null, 'Both at one moment: nobody knows which came first.');
        $this->assertContains('disputed', array_column($this->readKit('QH-16')['verdict']['reasons'], 'kind'));
        $this->assertSame(0, Artisan::call('ledger:verify'));
    }

    public function test_a_pocket_that_is_not_there_and_a_kit_out_of_service(): void
    {
        $this->actAs('lead');
        $sent = $this->asPlanned($this->plan('QH-13'));
        $sent['pieces'][0]['back'][0]['pocket_id'] = $this->ulid();
        $this->record('QH-13', $this->ulid(), $sent)->assertUnprocessable();
        $this->putJson('/api/kits/QH-13/retirement', ['reason' => 'Torn'])->assertOk();
        $this->putJson("/api/kits/QH-13/builds/{$this->ulid()}/beginning", ['begun_at' => now()->toIso8601ZuluString()])->assertUnprocessable();
    }

    public function test_two_who_pack_it_at_once_keep_it_not_ready_until_both_have_ended(): void
    {
        $one = $this->actAs('keeper')->begin('QH-16');
        $other = $this->actAs('lead')->begin('QH-16');
        $sent = $this->asPlanned($this->plan('QH-16'));
        $this->actAs('keeper')->record('QH-16', $one, $sent)->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-16')['verdict']['verdict']);
        $this->assertSame($other, $this->readKit('QH-16')['build']['id']);
        foreach ([1, 2] as $time) {
            $this->putJson("/api/kits/QH-16/builds/{$other}/end", ['outcome' => 'put_back'])->assertNoContent();
        }
        $kit = $this->readKit('QH-16');
        $this->assertSame(['ready', null, 'recheck'], [$kit['verdict']['verdict'], $kit['build'], $kit['due']['because']], 'Put back is no check.');
        $this->putJson("/api/kits/QH-16/builds/{$other}/end", ['outcome' => 'finished'])->assertUnprocessable();
    }

    public function test_what_the_store_no_longer_has_needs_somebody_and_the_rest_is_recorded(): void
    {
        $this->actAs('keeper');
        $sent = $this->asPlanned($this->plan('QH-03'));
        $this->assertNotSame([], $sent['in'], 'a foil blanket is missing');
        DB::table('holdings')->where('store_id', $sent['store'])->where('lot_id', $sent['in'][0]['lot_id'])->delete();
        // Known to be there when it was read; taken by others since.
        $this->finish($this->asRecorded($this->readKit('QH-01')))->assertOk();
        $answer = $this->record('QH-03', $this->ulid(), $sent)->assertOk()->json();
        $this->assertSame(['not_there'], array_column($answer['unsettled'], 'because'));
        $this->assertNotNull($answer['operation']);
    }

    public function test_what_was_packed_before_the_kit_was_retired_is_recorded_and_what_was_after_is_kept(): void
    {
        $this->actAs('lead');
        [$before, $after] = [$this->asPlanned($this->plan('QH-16')), $this->asPlanned($this->plan('QH-16'))];
        $this->putJson('/api/kits/QH-16/retirement', ['reason' => 'Torn'])->assertOk();
        $at = static fn (int $minutes): array => [
            'begun_at' => now()->addMinutes($minutes - 1)->toIso8601ZuluString(), 'done_at' => now()->addMinutes($minutes)->toIso8601ZuluString(),
        ];
        $this->record('QH-16', $this->ulid(), [...$before, ...$at(-30)])->assertOk();
        $kept = $this->record('QH-16', $this->ulid(), [...$after, ...$at(3)])->assertStatus(202)->json();
        $this->assertSame(['kit_retired'], array_column($kept['unsettled'], 'because'));
        $this->assertSame(0, Artisan::call('ledger:verify'));
    }

    private function begin(string $kit, ?string $id = null): string
    {
        $id ??= $this->ulid();
        $this->putJson("/api/kits/{$kit}/builds/{$id}/beginning", ['begun_at' => now()->subMinutes(5)->toIso8601ZuluString()])->assertNoContent();

        return $id;
    }

    /** @return array<string, mixed> */
    private function plan(string $kit): array
    {
        return $this->getJson("/api/kits/{$kit}/build")->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $sent
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function record(string $kit, string $id, array $sent): TestResponse
    {
        return $this->putJson("/api/kits/{$kit}/builds/{$id}", $sent);
    }

    /**
     * Everything was found, goes back as proposed, and what is asked for comes from the store.
     *
     * @param  array<string, mixed>  $plan
     * @return array<string, mixed>
     */
    private function asPlanned(array $plan): array
    {
        $tasks = array_filter(array_column($plan['items'], 'task', 'item'));
        $pieces = array_map(static function (array $one): array {
            $rest = $one['quantity'] - array_sum(array_column($one['back'], 'quantity'));

            return [
                ...array_intersect_key($one, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on', 'back'])),
                'recorded' => $one['quantity'], 'found' => $one['quantity'],
                'to_store' => $one['rest_to'] === 'store' ? $rest : 0, 'discarded' => $one['rest_to'] === 'discard' ? $rest : 0,
            ];
        }, $plan['pieces']);
        $in = array_map(
            static fn (array $one): array => ['pocket_id' => $one['pocket_id'] ?? $plan['order'][0], 'lot_id' => $one['lot_id'], 'quantity' => $one['quantity']],
            $plan['restock']['in'],
        );
        $prepared = [];
        foreach ($plan['pieces'] as $one) {
            if (isset($tasks[$one['item']]) && $one['back'] !== []) {
                $prepared["{$one['back'][0]['pocket_id']} {$one['item']}"] = ['pocket_id' => $one['back'][0]['pocket_id'], 'item' => $one['item'], 'done' => true];
            }
        }

        return [
            'store' => $plan['restock']['store'], 'base' => $plan['restock']['base'], 'begun_at' => now()->subMinutes(4)->toIso8601ZuluString(),
            'pieces' => $pieces, 'in' => $in, 'prepared' => array_values($prepared), 'weighed_g' => null,
        ];
    }

    private function pieces(string $store, string $lot): int
    {
        return (int) DB::table('holdings')->where('store_id', $store)->where('lot_id', $lot)->sum('quantity');
    }
}
