<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What is put in without what is done to it before is a finding where the organisation asks for that, and only there. */
final class StagingTest extends TestCase
{
    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults);
        parent::tearDown();
    }

    public function test_what_is_not_staged_keeps_a_kit_from_ready_where_that_is_asked_for(): void
    {
        $this->putGloves(false);
        $this->assertSame('ready', $this->readKit('QH-16')['verdict']['verdict'], 'nobody asks for it');
        $this->ask(true);
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $this->assertSame('ready_with_actions', $kit['verdict']['verdict']);
        $reason = collect($kit['verdict']['reasons'])->firstWhere('kind', 'unprepared');
        $this->assertSame(['fix', 'gloves-nitrile-large'], [$reason['severity'], $reason['item']]);
        $this->assertStringContainsString('is unprepared: Unfold the gloves', $reason['text']);
        $this->assertSame('ready_with_actions', DB::table('kit_states')->where('kit_id', $kit['id'])->value('verdict'));
        foreach ([1, 2] as $time) {
            $this->putJson('/api/kits/QH-16/staging/'.($id ??= $this->ulid()), ['item' => 'gloves-nitrile-large'])->assertOk();
        }
        $this->assertSame('ready', $this->readKit('QH-16')['verdict']['verdict']);
        $this->assertSame('Staged', $this->getJson('/api/kits/QH-16/history')->json('entries.0.title'));
        $this->putJson('/api/kits/QH-16/staging/'.$this->ulid(), ['item' => 'no-such-item'])->assertUnprocessable();
        $this->actAs('member')->putJson('/api/kits/QH-16/staging/'.$this->ulid(), ['item' => 'gloves-nitrile-large'])->assertForbidden();
    }

    public function test_what_was_staged_later_or_is_gone_is_no_finding(): void
    {
        $this->ask(true);
        $this->putGloves(false);
        $this->assertSame('ready_with_actions', $this->readKit('QH-16')['verdict']['verdict']);
        $this->putGloves(true);
        $this->assertSame('ready_with_actions', $this->readKit('QH-16')['verdict']['verdict'], 'the pair of before is there still, and not staged');
        $this->putJson('/api/kits/QH-16/staging/'.$this->ulid(), ['item' => 'gloves-nitrile-large'])->assertOk();
        $this->assertSame('ready', $this->readKit('QH-16')['verdict']['verdict']);
        $this->putGloves(false);
        $gloves = array_values(array_filter($this->readKit('QH-16')['contents'], static fn (array $row): bool => $row['item'] === 'gloves-nitrile-large'));
        $this->putJson('/api/kits/QH-16/uses/'.$this->ulid(), [
            'base' => $this->readKit('QH-16')['base'], 'begun_at' => now()->toIso8601ZuluString(),
            'taken' => array_map(static fn (array $row): array => [
                ...array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on', 'quantity'])), 'why' => 'used',
            ], $gloves),
        ])->assertOk();
        $this->assertNotContains('unprepared', array_column($this->readKit('QH-16')['verdict']['reasons'], 'kind'), 'what is not there cannot be staged');
        $this->putGloves(true, $gloves[0]['pocket_id']);
        $this->assertNotContains('unprepared', array_column($this->readKit('QH-16')['verdict']['reasons'], 'kind'), 'all that is there was said to be staged');
    }

    public function test_where_it_is_asked_for_nothing_said_is_no(): void
    {
        $this->putGloves(null);
        $this->ask(true);
        $this->assertNotContains('unprepared', array_column($this->readKit('QH-16')['verdict']['reasons'], 'kind'), 'nobody asked when it went in');
        $this->putGloves(null);
        $this->assertSame('ready_with_actions', $this->readKit('QH-16')['verdict']['verdict'], 'begun before it was asked for, sent after');
    }

    public function test_what_only_changed_its_pocket_is_not_staged_by_that(): void
    {
        $this->ask(true);
        $this->putGloves(false);
        $check = $this->asRecorded($kit = $this->readKit('QH-16'));
        $other = collect($kit['contents'])->first(static fn (array $row): bool => $row['item'] !== 'gloves-nitrile-large' &&
            $row['pocket_id'] !== collect($kit['contents'])->firstWhere('item', 'gloves-nitrile-large')['pocket_id'])['pocket_id'];
        foreach ($check['rows'] as $at => $row) {
            $check['rows'][$at]['pocket_id'] = $row['item'] === 'gloves-nitrile-large' ? $other : $row['pocket_id'];
        }
        $this->finish($check)->assertOk();
        $reasons = collect($this->readKit('QH-16')['verdict']['reasons']);
        $this->assertStringContainsString('in another pocket is unprepared: Unfold the gloves', $reasons->firstWhere('kind', 'unprepared')['text'] ?? '');
    }

    public function test_what_is_moved_to_another_kit_is_not_staged_there_either(): void
    {
        $this->ask(true);
        $this->putGloves(false);
        $isFound = fn (): bool => in_array('unprepared', array_column($this->readKit('QH-05')['verdict']['reasons'], 'kind'), true);
        $this->assertFalse($isFound());
        $gloves = collect(($kit = $this->readKit('QH-16'))['contents'])->firstWhere('item', 'gloves-nitrile-large');
        $this->putJson('/api/kits/QH-16/uses/'.$this->ulid(), [
            'base' => $kit['base'], 'begun_at' => now()->toIso8601ZuluString(),
            'taken' => [[
                ...array_intersect_key($gloves, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'quantity' => 1, 'why' => 'moved',
                'to_kit' => 'QH-05',
            ]],
        ])->assertOk();
        $this->assertTrue($isFound(), 'nobody unfolded them on the way');
    }

    public function test_what_goes_in_instead_is_asked_about_too(): void
    {
        $of = fn (): mixed => collect($this->actAs('keeper')->getJson('/api/kits/QH-16/restock')->json('shelf'))->firstWhere('item', 'gloves-nitrile-large')['staging'];
        $this->assertNull($of(), 'nobody asks for it');
        $this->ask(true);
        $this->assertSame('Unfold the gloves', $of());
    }

    private function ask(bool $staging): void
    {
        $now = $this->actAs('lead')->getJson('/api/organisation')->json();
        $this->putJson('/api/organisation', [
            ...array_intersect_key($now, array_flip(['length_unit', 'mass_unit', 'volume_unit', 'currency', 'people_kept_days'])), 'asks_staging' => $staging,
        ])->assertOk();
    }

    /** A pair of gloves more goes in; null: of which nobody says whether it is staged. */
    private function putGloves(?bool $isStaged, ?string $into = null): void
    {
        $store = $this->store()->id;
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $pocket = $into ?? collect($kit['contents'])->firstWhere('item', 'gloves-nitrile-large')['pocket_id'];
        $lot = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('store_id', $store)->where('items.code', 'gloves-nitrile-large')->orderByDesc('lots.good_until')->value('lots.id');
        $this->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), [
            'store' => $store, 'base' => $kit['base'], 'begun_at' => now()->toIso8601ZuluString(), 'out' => [],
            'in' => [['pocket_id' => $pocket, 'lot_id' => $lot, 'quantity' => 1, 'staged' => $isStaged]],
        ])->assertOk();
    }
}
