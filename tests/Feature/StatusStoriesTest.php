<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Checks\Models\Unsettled;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Stories that once ended with a kit that read as ready and was not. */
final class StatusStoriesTest extends TestCase
{
    private const GLOVES = 'gloves-nitrile-large';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(now()->setTime(12, 0));
    }

    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults, 'The record adds up.');
        parent::tearDown();
    }

    public function test_a_restock_that_arrives_after_a_later_full_check_does_not_change_the_count(): void
    {
        $restock = $this->emptied('QH-16');
        $before = $this->inStore();
        $check = $this->asRecorded($this->actAs('lead')->readKit('QH-16'));
        $this->finish(['begun_at' => $this->ago(30), 'done_at' => $this->ago(20), 'clock_checked_at' => $this->ago(0)] + $check)->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-16')['verdict']['verdict']);
        $answer = $this->actAs('keeper')->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), [
            'begun_at' => $this->ago(60), 'done_at' => $this->ago(50), 'clock_checked_at' => $this->ago(0),
        ] + $restock)->assertOk()->json();
        $this->assertSame(['counted_later'], array_values(array_unique(array_column($answer['unsettled'], 'because'))));
        $this->assertStringContainsString($this->person('keeper')->name, $answer['unsettled'][0]['text']);
        $this->assertStringContainsString($this->person('lead')->name, $answer['unsettled'][0]['text']);
        $this->assertStringContainsString('11:40', $answer['unsettled'][0]['text'].$this->ago(20), 'both times are named');
        $kit = $this->readKit('QH-16');
        $this->assertSame(['not_ready', 0], [$kit['verdict']['verdict'], $this->pieces($kit)], 'the count stands');
        $pieces = array_sum(array_column($restock['in'], 'quantity'));
        $this->assertSame([$before - $pieces, $pieces], [$this->inStore(), $this->unaccounted()]);
    }

    public function test_unaccounted_pieces_are_settled_into_the_kit_to_the_store_or_as_lost(): void
    {
        foreach (['into_kit' => 'recheck', 'to_store' => null, 'lost' => null] as $where => $because) {
            $restock = $this->emptied('QH-16');
            $there = $this->pieces($this->readKit('QH-16'));
            $before = $this->inStore();
            $check = $this->asRecorded($this->actAs('lead')->readKit('QH-16'));
            $this->finish(['begun_at' => $this->ago(30), 'done_at' => $this->ago(20), 'clock_checked_at' => $this->ago(0)] + $check)->assertOk();
            $this->actAs('keeper')->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), [
                'begun_at' => $this->ago(60), 'done_at' => $this->ago(50), 'clock_checked_at' => $this->ago(0),
            ] + $restock)->assertOk();
            $rows = Unsettled::query()->whereNull('settled_at')->whereNotNull('pieces')->get();
            $this->assertNotEmpty($rows);
            $pieces = (int) $rows->sum('pieces');
            $this->putJson("/api/unsettled/{$rows[0]->id}", ['note' => 'Looked'])->assertUnprocessable()->assertJsonValidationErrors('where');
            foreach ($rows as $row) {
                $this->putJson("/api/unsettled/{$row->id}", ['note' => 'Looked', 'where' => $where])->assertOk();
                $this->putJson("/api/unsettled/{$row->id}", ['note' => 'Looked', 'where' => $where])->assertUnprocessable();
            }
            $kit = $this->readKit('QH-16');
            $this->assertSame(0, $this->unaccounted(), $where);
            $this->assertSame($there + ($where === 'into_kit' ? $pieces : 0), $this->pieces($kit), $where);
            $this->assertSame($before - ($where === 'to_store' ? 0 : $pieces), $this->inStore(), $where);
            $because === null ? $this->assertNotSame('recheck', $kit['due']['because']) : $this->assertSame($because, $kit['due']['because']);
            $this->travel(1)->hours();
        }
    }

    public function test_a_restock_of_which_nobody_knows_whether_it_came_before_a_check_is_judged_both_ways(): void
    {
        $restock = $this->emptied('QH-16');
        $check = $this->asRecorded($this->actAs('lead')->readKit('QH-16'));
        foreach (array_keys($check['rows']) as $at) {
            $check['rows'][$at]['quantity'] = $check['rows'][$at]['item'] === self::GLOVES ? 0 : $check['rows'][$at]['quantity'];
        }
        $this->finish(['begun_at' => $this->ago(60), 'done_at' => $this->ago(20), 'clock_checked_at' => $this->ago(0)] + $check)->assertOk();
        $this->actAs('keeper')->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), [
            'begun_at' => $this->ago(50), 'done_at' => $this->ago(40), 'clock_checked_at' => $this->ago(0),
        ] + $restock)->assertOk()->assertJsonPath('unsettled.0.because', 'order_in_doubt');
        $kit = $this->readKit('QH-16');
        $this->assertSame(['not_ready', 'disagreement'], [$kit['verdict']['verdict'], $kit['due']['because']]);
        $this->assertContains('disputed', array_column($kit['verdict']['reasons'], 'kind'));
        $file = $this->getJson('/api/kits/QH-16/file')->json();
        $this->assertCount(1, $file['also_counted'] ?? $file['documents'][0]['also_counted']);
    }

    public function test_of_two_people_who_record_the_same_restock_the_second_adds_nothing(): void
    {
        $restock = $this->emptied('QH-16');
        $this->actAs('lead')->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), $restock)->assertOk();
        $there = $this->pieces($this->readKit('QH-16'));
        $answer = $this->actAs('keeper')->putJson('/api/kits/QH-16/restocks/'.$this->ulid(), $restock)->assertOk()->json();
        $this->assertSame($there, $this->pieces($this->readKit('QH-16')));
        $this->assertContains('answered', array_column($answer['unsettled'], 'because'));
    }

    public function test_a_new_kit_that_is_filled_is_not_checked_yet_and_lasts_until_the_check_after_its_first(): void
    {
        $kit = $this->newKit();
        $plan = $this->getJson("/api/kits/{$kit}/restock")->assertOk()->json();
        $every = DB::table('kits')->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')->where('code', $kit)->first(['every_unit', 'every_count', 'margin_days']);
        $next = now()->add((string) $every?->every_unit, (int) $every?->every_count)->addDays((int) $every?->margin_days)->toDateString();
        $this->assertGreaterThanOrEqual($next, $plan['until']);
        $this->restock($kit, $plan);
        $read = $this->readKit($kit);
        $this->assertSame(['not_checked', 'first'], [$read['verdict']['verdict'], $read['due']['because']]);
        $this->assertStringContainsString('Not checked yet', $read['verdict']['sentence']);
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', $kit);
        $this->assertSame(['now', 'check', 'not_checked'], [$row['band'], $row['job'], $row['verdict']]);
        $this->finish($this->asRecorded($read))->assertOk()->assertJsonPath('verdict', 'ready');
        $this->assertNotContains('expires_early', array_column($this->readKit($kit)['verdict']['reasons'], 'kind'), 'nothing is to be replaced on its first evening');
    }

    public function test_an_overdue_kit_needs_action_and_is_not_ready_after_the_days_of_its_policy(): void
    {
        // Its policy sets nothing, so it is not ready once it is overdue by its interval of 3 months.
        $due = (string) $this->actAs('lead')->readKit('QH-G1')['due']['next'];
        $from = \Carbon\CarbonImmutable::parse($due);
        $limit = (int) $from->diffInDays($from->addMonths(3));
        foreach ([0 => null, 1 => 'fix', $limit => 'fix', $limit + 1 => 'stop'] as $days => $severity) {
            $this->travelTo(\Carbon\CarbonImmutable::parse($due)->addDays($days)->setTime(12, 0));
            $this->app?->forgetScopedInstances();
            $kit = $this->actAs('lead')->readKit('QH-G1');
            $this->assertSame($severity, collect($kit['verdict']['reasons'])->firstWhere('kind', 'overdue')['severity'] ?? null, "{$days} days late");
            $this->assertTrue($days <= $limit || $kit['verdict']['verdict'] === 'not_ready', "{$days} days late");
            $this->assertSame($due, $kit['due']['next'], 'one date only');
            $this->assertTrue($days === 0 || ! str_contains($kit['verdict']['sentence'], 'Everything on the list is there'));
        }
    }

    public function test_a_wrong_seal_number_leaves_a_doubt_until_it_is_read_right_in_the_same_visit(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-13');
        $right = (string) $this->kit('QH-13')->seal_number;
        $before = $kit['verdict']['verdict'];
        $quick = ['rows' => [], 'kind' => 'quick', 'seal_found' => 'S-999'] + $this->asRecorded($kit);
        foreach ([1, 2] as $time) {
            $this->finish($quick, $visit = $visit ?? $this->ulid())->assertUnprocessable()->assertJsonValidationErrors('seal_found');
        }
        $kit = $this->actAs('lead')->readKit('QH-13');
        $this->assertSame(['not_ready', 'stop'], [$kit['verdict']['verdict'], collect($kit['verdict']['reasons'])->firstWhere('kind', 'seal')['severity'] ?? null]);
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $kit['id'])->value('verdict'), 'Today says so too');
        $this->actAs('keeper')->finish(['seal_found' => $right] + $quick)->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-13')['verdict']['verdict'], 'another visit settles nothing');
        $this->finish(['seal_found' => $right, 'base' => $kit['base']] + $quick, $visit)->assertOk();
        $this->assertSame($before, $this->readKit('QH-13')['verdict']['verdict']);
        $this->assertSame(['misread', 'read'], DB::table('seals')->where('kit_id', $kit['id'])->whereIn('event', ['misread', 'read'])->orderBy('operation_number')->pluck('event')->all());
    }

    public function test_a_recalled_lot_counts_as_missing_in_every_kit_at_once(): void
    {
        $lot = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('items.code', self::GLOVES)->whereNotNull('holdings.store_id')->where('holdings.condition', 'good')
            ->whereIn('lots.id', DB::table('holdings')->whereNotNull('kit_id')->select('lot_id'))
            ->first(['lots.id', 'lots.number', 'lots.expires', 'holdings.store_id']);
        $this->assertNotNull($lot);
        $kits = DB::table('holdings')->join('kits', 'kits.id', '=', 'holdings.kit_id')->where('lot_id', $lot->id)->whereNull('kits.parent_kit_id')
            ->whereNull('kits.retired_on')->distinct()->pluck('kits.code')->all();
        $this->actAs('keeper')->atStore((string) $lot->store_id, 'set_apart', $lot, 'good', ['recall' => true])->assertSuccessful();
        foreach ($kits as $code) {
            $kit = $this->readKit((string) $code);
            $this->assertContains('recalled', array_column($kit['verdict']['reasons'], 'kind'), (string) $code);
            $this->assertSame($kit['verdict']['verdict'], DB::table('kit_states')->where('kit_id', $kit['id'])->where('is_marked', false)->value('verdict') ?? $kit['verdict']['verdict']);
        }
        $this->atStore((string) $lot->store_id, 'release', $lot, 'quarantined')->assertUnprocessable();
        $this->actAs('lead')->atStore((string) $lot->store_id, 'release', $lot, 'quarantined')->assertSuccessful();
        foreach ($kits as $code) {
            $this->assertNotContains('recalled', array_column($this->readKit((string) $code)['verdict']['reasons'], 'kind'), (string) $code);
        }
    }

    public function test_a_module_of_a_kit_that_is_out_of_service_is_not_brought_back(): void
    {
        $this->actAs('lead')->putJson('/api/kits/QH-17/retirement', ['reason' => 'Torn'])->assertOk();
        $this->deleteJson('/api/kits/QH-17/modules/QH-M1')->assertUnprocessable();
        $this->assertSame(0, DB::table('kit_states')->whereIn('code', ['QH-17', 'QH-M1'])->count());
        $this->artisan('kits:verify')->assertSuccessful();
    }

    public function test_what_becomes_of_each_piece_is_said_when_a_kit_is_taken_out_of_service(): void
    {
        $kit = $this->actAs('lead')->readKit('QH-16');
        $ways = ['store', 'disposed', 'lost', 'with_kit'];
        $pieces = array_map(static fn (array $row, int $at): array => [
            ...array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'to' => $ways[$at % 4],
        ], $kit['contents'], array_keys($kit['contents']));
        $this->putJson('/api/kits/QH-16/retirement', ['reason' => 'Torn', 'pieces' => [['to' => 'sea'] + $pieces[0]]])->assertUnprocessable();
        $this->putJson('/api/kits/QH-16/retirement', ['reason' => 'Torn', 'pieces' => $pieces])->assertOk();
        $stays = array_filter($kit['contents'], static fn (int $at): bool => $at % 4 === 3, ARRAY_FILTER_USE_KEY);
        $this->assertSame(array_sum(array_column($stays, 'quantity')), (int) DB::table('holdings')->where('kit_id', $kit['id'])->sum('quantity'));
        $reasons = DB::table('movements')->where('from_kit_id', $kit['id'])->where('operation_number', DB::table('operations')->max('number'))->distinct()->pluck('reason')->sort()->values()->all();
        $this->assertSame(['discarded', 'lost', 'returned'], $reasons);
    }

    public function test_a_kit_that_waits_for_minutes_to_be_updated_is_named(): void
    {
        $this->changesRowsByHand();
        $id = $this->kit('QH-16')->id;
        DB::table('kit_states')->where('kit_id', $id)->update(['needs_version' => 1_000_000, 'waits_since' => now()->subMinutes(4)]);
        $this->assertStringNotContainsString('longer than 5 minutes', implode(' ', app(\App\Judging\VerifyStates::class)($this->today())));
        DB::table('kit_states')->where('kit_id', $id)->update(['needs_version' => 1_000_000, 'waits_since' => now()->subMinutes(6)]);
        $this->assertContains('Kit QH-16: it has waited for longer than 5 minutes to be updated.', app(\App\Judging\VerifyStates::class)($this->today()));
    }

    public function test_each_change_of_a_status_is_kept_once(): void
    {
        $kit = $this->actAs('lead')->readKit('QH-16');
        $rows = fn (): array => DB::table('kit_status_history')->where('kit_id', $kit['id'])->orderBy('id')->pluck('verdict')->all();
        $before = $rows();
        $this->finish($this->asRecorded($kit))->assertOk();
        $check = $this->asRecorded($this->readKit('QH-16'));
        foreach (array_keys($check['rows']) as $at) {
            $check['rows'][$at]['quantity'] = 0;
        }
        $this->travel(1)->minutes();
        $this->finish($check)->assertOk();
        $this->travel(1)->minutes();
        $this->finish($this->asRecorded($this->readKit('QH-16')))->assertOk();
        $this->assertSame('not_ready', array_slice($rows(), -1)[0]);
        $this->assertLessThanOrEqual(count($before) + 2, count($rows()), 'what stays the same is not kept again');
    }

    private function today(): string
    {
        return \App\Accounts\Models\Organisation::current()->today();
    }

    /**
     * Takes all gloves out of a kit, and plans to put others in.
     *
     * @return array<string, mixed> the restock, as it would be sent now
     */
    private function emptied(string $code): array
    {
        $kit = $this->actAs('keeper')->readKit($code);
        $gloves = array_values(array_filter($kit['contents'], static fn (array $row): bool => $row['item'] === self::GLOVES));
        if ($gloves !== []) {
            $this->putJson("/api/kits/{$code}/uses/".$this->ulid(), [
                'base' => $kit['base'], 'begun_at' => $this->ago(200), 'done_at' => $this->ago(190), 'clock_checked_at' => $this->ago(0),
                'taken' => array_map(static fn (array $row): array => [
                    ...array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on', 'quantity'])), 'why' => 'used',
                ], $gloves),
            ])->assertOk();
        }
        $plan = $this->getJson("/api/kits/{$code}/restock")->assertOk()->json();
        $in = array_values(array_filter($plan['in'], static fn (array $row): bool => $row['item'] === self::GLOVES));
        $this->assertNotEmpty($in);

        return [
            'store' => $plan['store'], 'base' => $plan['base'], 'begun_at' => $this->ago(5), 'out' => [],
            'in' => array_map(static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'quantity'])), $in),
        ];
    }

    /** @param  array<string, mixed>  $plan */
    private function restock(string $code, array $plan): void
    {
        $this->putJson("/api/kits/{$code}/restocks/".$this->ulid(), [
            'store' => $plan['store'], 'base' => $plan['base'], 'begun_at' => $this->ago(5), 'out' => [],
            'in' => array_map(static fn (array $row): array => array_intersect_key($row, array_flip(['pocket_id', 'lot_id', 'quantity'])), $plan['in']),
        ])->assertOk();
    }

    private function newKit(): string
    {
        $design = collect($this->actAs('lead')->getJson('/api/designs')->json())->firstWhere('code', 'bleeding-set');
        $place = collect($this->getJson('/api/places')->json('places'))->firstWhere('name', 'Saw shed');
        $this->postJson('/api/kits', [
            'id' => $this->ulid(), 'code' => 'QH-20', 'name' => 'Spare set', 'design_id' => $design['id'], 'place_id' => $place['id'], 'scope' => 'trained',
        ])->assertCreated();

        return 'QH-20';
    }

    /**
     * @param  array<string, mixed>  $more
     * @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response>
     */
    private function atStore(string $store, string $kind, \stdClass $lot, string $condition, array $more = []): \Illuminate\Testing\TestResponse
    {
        $head = \App\Ledger\Head::read();

        return $this->putJson("/api/stores/{$store}/entries/".$this->ulid(), [
            'kind' => $kind, 'begun_at' => $this->ago(1), 'base' => ['epoch' => $head->epoch, 'number' => $head->number], 'reason' => 'Recall notice 12',
            'rows' => [['item' => self::GLOVES, 'lot' => $lot->number, 'expires' => $lot->expires, 'quantity' => 1, 'condition' => $condition]],
        ] + $more);
    }

    private function ago(int $minutes): string
    {
        return now()->subMinutes($minutes)->toIso8601ZuluString();
    }

    /** @param  array<string, mixed>  $kit */
    private function pieces(array $kit): int
    {
        return (int) array_sum(array_column(array_filter($kit['contents'], static fn (array $row): bool => $row['item'] === self::GLOVES), 'quantity'));
    }

    private function inStore(): int
    {
        return (int) $this->held()->whereNotNull('holdings.store_id')->sum('holdings.quantity');
    }

    private function unaccounted(): int
    {
        return (int) $this->held()->whereNull('holdings.store_id')->whereNull('holdings.kit_id')->sum('holdings.quantity');
    }

    private function held(): \Illuminate\Database\Query\Builder
    {
        return DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('items.code', self::GLOVES);
    }
}
