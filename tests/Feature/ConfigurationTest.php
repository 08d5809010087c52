<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Configurations, modules that move, lines that wait for something, many kits alike and those that differ on purpose. */
final class ConfigurationTest extends TestCase
{
    public function test_a_kit_set_to_the_lantern_evening_and_back(): void
    {
        $before = $this->actAs('keeper')->readKit('QH-16');
        $this->assertSame([null, ['Lantern evening'], 'ready'], [$before['configuration'], $before['configurations'], $before['verdict']['verdict']]);
        $asks = $this->getJson('/api/kits/QH-16/configuration?to=Lantern%20evening')->assertOk()->json();
        $this->assertSame(['Eye roll slot: Eye roll'], $asks['modules_in']);
        $this->assertSame('not_ready', $asks['effect']['then']);
        $this->assertContains('Light with both hands free, for a second helper: 0 of 1, to add 1 × Head torch', $asks['effect']['added']);
        $this->putJson('/api/kits/QH-16/configuration', ['configuration' => 'Frost night'])->assertUnprocessable();
        foreach ([1, 2] as $time) {
            $after = $this->putJson('/api/kits/QH-16/configuration', ['configuration' => 'Lantern evening'])->assertOk()->json();
        }
        $this->assertSame(['Lantern evening', 'not_ready'], [$after['configuration'], $after['verdict']['verdict']]);
        $this->assertSame(1, DB::table('kit_changes')->where('field', 'configuration')->count(), 'the same twice is one change');
        // A module comes from another kit with its seal whole, and what is missing is put in: only then is it ready.
        $seal = DB::table('kits')->where('code', 'QH-M1')->first(['seal', 'seal_number']);
        $this->deleteJson('/api/kits/QH-17/modules/QH-M1')->assertOk();
        $this->postJson('/api/kits/QH-16/modules', ['module' => 'QH-M1'])->assertOk();
        $moved = DB::table('kits')->where('code', 'QH-M1')->first(['seal', 'seal_number', 'slot_id']);
        $this->assertEquals([$seal?->seal, $seal?->seal_number, 'intact'], [$moved?->seal, $moved?->seal_number, $moved?->seal]);
        $this->assertNotNull($moved?->slot_id);
        $this->assertSame('limited', $this->readKit('QH-16')['verdict']['verdict'], 'the second light is missing');
        $this->assertNotSame('ready', $this->readKit('QH-17')['verdict']['verdict'], 'the slot that it came from is empty');
        $this->restock('QH-16');
        $this->assertContains($this->readKit('QH-16')['verdict']['verdict'], ['ready', 'ready_with_actions']);
        // Back: what the evening asked for is not asked for any more, and is named to be removed.
        $back = $this->getJson('/api/kits/QH-16/configuration')->assertOk()->json();
        $this->assertSame(['QH-M1 Eye roll'], $back['modules_out']);
        $this->assertContains('1 × Head torch', $back['effect']['removed']);
        $after = $this->putJson('/api/kits/QH-16/configuration', ['configuration' => null])->assertOk()->json();
        $this->assertNull($after['configuration']);
        $history = array_column($this->getJson('/api/kits/QH-16/history')->json('entries'), 'notes');
        $this->assertContains('Set to Lantern evening', array_merge(...$history));
    }

    public function test_a_line_that_waits_is_shown_and_asked_for_once_it_has_begun(): void
    {
        $kit = $this->actAs('lead')->readKit('QH-07');
        $this->assertSame([['A1', 'hot work begins in the yard', null]], array_map(
            static fn (array $line): array => [$line['code'], $line['waits_for'], $line['from']], $kit['planned'],
        ));
        $this->assertNotContains('A1', array_column($kit['verdict']['lines'], 'code'));
        $this->assertStringEndsWith(' Not yet covered: 1 planned line.', $kit['verdict']['sentence']);
        $design = (string) DB::table('designs')->where('code', 'tree-crew')->value('id');
        $this->putJson("/api/designs/{$design}/lines/L1/beginning", ['on_day' => $this->today(), 'reason' => 'Welding'])->assertUnprocessable();
        // From tomorrow on: it holds through today.
        $tomorrow = now()->parse($this->today())->addDay()->toDateString();
        $this->putJson("/api/designs/{$design}/lines/A1/beginning", ['on_day' => $tomorrow, 'reason' => 'Welding at the gate from tomorrow'])->assertNoContent();
        $kit = $this->readKit('QH-07');
        $this->assertSame($tomorrow, $kit['planned'][0]['from']);
        $this->artisan('kits:judge')->assertSuccessful();
        $this->assertSame($this->today(), DB::table('kit_states')->where('code', 'QH-07')->value('holds_through'));
        $this->putJson("/api/designs/{$design}/lines/A1/beginning", ['on_day' => $this->today(), 'reason' => 'Welding at the gate'])->assertNoContent();
        $kit = $this->readKit('QH-07');
        $this->assertSame([], $kit['planned']);
        $line = collect($kit['verdict']['lines'])->firstWhere('code', 'A1');
        $this->assertSame(['0', 'none'], [$line['effective'], $line['state']]);
        $this->assertSame('not_ready', $kit['verdict']['verdict']);
        $waiting = collect($this->getJson('/api/designs')->json())->firstWhere('code', 'tree-crew')['waiting'];
        $this->assertSame(['Welding at the gate', 'Maren Oduya'], [$waiting[0]['reason'], $waiting[0]['by']]);
        $this->deleteJson("/api/designs/{$design}/lines/A1/beginning")->assertNoContent();
        $this->assertCount(1, $this->readKit('QH-07')['planned']);
        // Who asked for it, and from when until when, stays on record.
        $this->assertSame(
            [['Welding at the gate from tomorrow', $this->today()], ['Welding at the gate', $this->today()]],
            DB::table('line_switches')->orderBy('id')->get()->map(static fn (object $row): array => [$row->reason, $row->ended_on])->all(),
        );
    }

    public function test_many_alike_follow_a_published_edition_but_for_one_that_differs_on_purpose(): void
    {
        $this->actAs('lead');
        $this->assertSame(0, $this->getJson('/api/following')->assertOk()->json('in_all'));
        $design = (string) DB::table('designs')->where('code', 'walk-pouch')->value('id');
        $start = $this->getJson("/api/designs/{$design}/draft")->assertOk()->json();
        $start['draft']['compartments'][1]['name'] = 'At the top';
        $start['draft']['placements'][0]['compartment'] = $start['draft']['placements'][8]['compartment'];
        $this->putJson("/api/designs/{$design}/editions/{$this->ulid()}", ['base' => $start['edition'], 'name' => $start['name'], 'draft' => $start['draft']])->assertOk();
        $follow = fn (): array => array_column($this->getJson('/api/following')->assertOk()->json('kits'), 'kit');
        $this->assertSame(['QH-13', 'QH-14', 'QH-15'], $follow());
        // One of them differs on purpose.
        $id = $this->ulid();
        $until = now()->parse($this->today())->addDays(20)->toDateString();
        $body = ['name' => 'Gloves stay in front', 'reason' => 'A new leader is trained with it', 'ends_on' => $until];
        $this->putJson("/api/kits/QH-14/exceptions/{$this->ulid()}", ['ends_on' => '2020-01-01'] + $body)->assertUnprocessable()->assertJsonPath('errors.ends_on.0', 'Choose the day on which it ends: from today to a year ahead.');
        foreach ([1, 2] as $time) {
            $this->putJson("/api/kits/QH-14/exceptions/{$id}", $body)->assertNoContent();
        }
        $this->putJson("/api/kits/QH-14/exceptions/{$this->ulid()}", $body)->assertUnprocessable();
        $this->assertSame(['QH-13', 'QH-15'], $follow());
        $this->assertSame(['Gloves stay in front', false], [$this->readKit('QH-14')['exception']['name'], $this->readKit('QH-14')['exception']['is_over']]);
        foreach (['QH-13', 'QH-15'] as $kit) {
            $moved = $this->getJson("/api/kits/{$kit}/adoption")->assertOk()->json();
            $this->assertNotSame([], $moved['effect']['moved']);
            if ($this->readKit($kit)['seal']['state'] === 'intact') {
                DB::table('kits')->where('code', $kit)->update(['seal' => 'none']);
            }
            $this->postJson("/api/kits/{$kit}/adoption", ['edition' => $moved['to']['id']])->assertOk();
        }
        $this->assertSame([], $follow());
        // On the day after its end it is work again, and says why.
        DB::table('kit_exceptions')->update(['ends_on' => now()->parse($this->today())->subDay()->toDateString()]);
        $again = $this->getJson('/api/following')->json('kits');
        $this->assertSame([['QH-14', 'Gloves stay in front']], array_map(static fn (array $kit): array => [$kit['kit'], $kit['ended']], $again));
        $this->assertTrue($this->readKit('QH-14')['exception']['is_over']);
        $this->deleteJson("/api/kits/QH-14/exceptions/{$id}")->assertNoContent();
        $this->assertNull($this->readKit('QH-14')['exception']);
    }

    public function test_two_configurations_beside_each_other(): void
    {
        $choices = collect($this->actAs('member')->getJson('/api/choices/editions')->assertOk()->json());
        $post = $choices->firstWhere('design', 'Event post box');
        $this->assertSame(['Lantern evening'], $post['configurations']);
        $beside = $this->getJson("/api/beside?one={$post['id']}&other={$post['id']}&other_in=Lantern%20evening")->assertOk()->json();
        $torch = collect($beside['rows'])->firstWhere('item', 'head-torch');
        $this->assertSame([1, 'Lid, Light'], [$torch['other'] - $torch['one'], $torch['other_in']]);
        $cells = collect($beside['rows'])->firstWhere('item', 'battery-aaa');
        $this->assertSame(3, $cells['other'] - $cells['one']);
        // The torch and three cells: what differs comes first.
        $this->assertSame(85 + 3 * 12, $beside['other']['mass_g'] - $beside['one']['mass_g']);
        $this->assertSame(['battery-aaa', 'head-torch'], array_column(array_slice($beside['rows'], 0, 2), 'item'));
        $this->assertSame($beside['one']['lines'] + 2, $beside['other']['lines']);
        $pouch = $choices->firstWhere('design', 'Garden walk pouch');
        $this->getJson("/api/beside?one={$pouch['id']}&one_in=Frost&other={$post['id']}")->assertUnprocessable();
        $this->getJson("/api/beside?one={$this->ulid()}&other={$post['id']}")->assertUnprocessable();
    }

    private function today(): string
    {
        return app(\App\Accounts\Models\Organisation::class)->today();
    }

    /** From the store, all that is planned, each step as it says. */
    private function restock(string $kit): void
    {
        $plan = $this->getJson("/api/kits/{$kit}/restock?store={$this->store()->id}")->assertOk()->json();
        $steps = array_map(static fn (array $row): array => ['pocket_id' => $row['pocket_id'], 'lot_id' => $row['lot_id'], 'quantity' => $row['quantity']], $plan['in']);
        $now = now()->toIso8601ZuluString();
        $this->putJson("/api/kits/{$kit}/restocks/{$this->ulid()}", [
            'base' => $plan['base'], 'store' => $this->store()->id, 'in' => $steps, 'out' => [], 'not_found' => [],
            'begun_at' => $now, 'done_at' => $now, 'clock_checked_at' => $now,
        ])->assertOk();
    }
}
