<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Checks\Models\Unsettled;
use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Record;
use App\Ledger\Verification\Verify;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Every row of the table of what arrives late: it is kept in any case, and never answered without being kept. */
final class LateArrivalTest extends TestCase
{
    private const ITEM = 'gloves-nitrile-large';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(now()->setTime(12, 0));
    }

    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults, 'Whatever arrived, the record adds up.');
        parent::tearDown();
    }

    public function test_a_full_check_after_a_restock_that_was_done_later_keeps_both(): void
    {
        $check = $this->counting('QH-08', 3, begun: 60, done: 50);
        $this->putIn('QH-08', 2, minutesAgo: 20);
        $this->finish($check)->assertOk()->assertJson(['standing' => 'stands', 'unsettled' => []]);
        $this->assertSame(5, $this->pieces('QH-08'), 'Three were counted, and two were put in after that.');
    }

    public function test_a_full_check_that_began_after_a_restock_it_had_not_seen_counts_what_is_there(): void
    {
        $check = $this->counting('QH-08', 3, begun: 15, done: 5);
        $this->putIn('QH-08', 2, minutesAgo: 40);
        $this->finish($check)->assertOk()->assertJson(['standing' => 'stands', 'unsettled' => []]);
        $this->assertSame(3, $this->pieces('QH-08'));
    }

    public function test_what_was_put_in_while_it_was_counted_needs_somebody_and_lowers_the_verdict(): void
    {
        $recorded = $this->pieces('QH-08');
        $check = $this->counting('QH-08', 0, begun: 60, done: 10);
        $this->putIn('QH-08', 2, minutesAgo: 30);
        $answer = $this->finish($check)->assertOk()->json();
        $this->assertSame(['moved_while_counting'], array_values(array_unique(array_column($answer['unsettled'], 'because'))));
        $this->assertSame($recorded + 2, $this->pieces('QH-08'), 'Nobody knows: what is on record stays.');
        $kit = $this->readKit('QH-08');
        $this->assertSame('not_ready', $kit['verdict']['verdict'], 'None of a critical item was counted: the worse of both holds.');
        $this->assertSame(['disagreement', 'full'], [$kit['due']['because'], $kit['due']['kind']]);
        $this->assertContains('disputed', array_column($kit['verdict']['reasons'], 'kind'));
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $kit['id'])->value('verdict'));
        $this->finish($this->asRecorded($kit))->assertOk();
        $this->assertNotSame('disagreement', $this->readKit('QH-08')['due']['because'], 'A full check settles it.');
    }

    public function test_more_used_after_the_check_than_it_counted_is_in_doubt_and_never_less_than_none(): void
    {
        $this->putIn('QH-08', 2, minutesAgo: 200);
        $check = $this->counting('QH-08', 1, begun: 60, done: 50);
        $this->takeOut('QH-08', 2, minutesAgo: 20);
        $there = $this->pieces('QH-08');
        $answer = $this->finish($check)->assertOk()->json();
        $this->assertSame(['moved_while_counting'], array_column($answer['unsettled'], 'because'));
        $this->assertSame($there, $this->pieces('QH-08'));
    }

    public function test_a_full_check_before_one_that_is_clearly_later_is_superseded(): void
    {
        $early = $this->counting('QH-08', 5, begun: 120, done: 110);
        $this->actAs('lead')->finish($this->counting('QH-08', 0, begun: 30, done: 20))->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-08')['verdict']['verdict']);
        $answer = $this->actAs('keeper')->finish($early)->assertOk()->json();
        $this->assertSame('superseded', $answer['standing']);
        $this->assertStringContainsString('by this check', $answer['unsettled'][0]['text']);
        $kit = $this->readKit('QH-08');
        $this->assertSame(['not_ready', 0], [$kit['verdict']['verdict'], $this->pieces('QH-08')], 'An earlier look never overwrites a later one.');
        $this->assertNotSame($answer['id'], $kit['last_check']['id']);
        $titles = array_column($this->getJson('/api/kits/QH-08/history')->json('entries'), 'title');
        $this->assertContains('Full check, superseded by a later one', $titles);
    }

    public function test_a_full_check_after_one_that_is_clearly_earlier_stands_and_the_difference_is_said(): void
    {
        $late = $this->counting('QH-08', 2, begun: 30, done: 20);
        $this->actAs('lead')->finish($this->counting('QH-08', 0, begun: 120, done: 110))->assertOk();
        $answer = $this->actAs('keeper')->finish($late)->assertOk()->json();
        $this->assertSame(['stands', 2], [$answer['standing'], $this->pieces('QH-08')]);
        $this->assertMatchesRegularExpression('/1 by this check, 0 by check \d+/', $answer['unsettled'][0]['text']);
    }

    public function test_two_full_checks_that_overlap_are_in_dispute_and_the_worse_verdict_holds(): void
    {
        $one = $this->counting('QH-08', 0, begun: 60, done: 30);
        $this->actAs('lead')->finish($this->counting('QH-08', 6, begun: 50, done: 40))->assertOk();
        $before = $this->readKit('QH-08')['verdict']['verdict'];
        $this->assertNotSame('not_ready', $before);
        $this->assertSame('disputed', $this->actAs('keeper')->finish($one)->assertOk()->json('standing'));
        $kit = $this->readKit('QH-08');
        $this->assertSame(['not_ready', 6, 'disagreement'], [$kit['verdict']['verdict'], $this->pieces('QH-08'), $kit['due']['because']]);
        $today = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-08');
        $this->assertSame(['stop', 'check'], [$today['band'], $today['job']]);
        $this->assertSame('disagreement', DB::table('kit_states')->where('kit_id', $kit['id'])->value('due_because'));
        $document = \Sarcina\Core\Format\Json::read((string) $this->getJson('/api/kits/QH-08/file')->getContent());
        $judgement = \Sarcina\Core\Check\Judge::judge(\Sarcina\Core\Format\KitReader::read($document));
        $this->assertSame(['not_ready', 1], [$judgement->verdict->value, $judgement->judged], 'The file holds both counts.');
    }

    public function test_a_dispute_never_raises_a_verdict(): void
    {
        $one = $this->counting('QH-08', 6, begun: 60, done: 30);
        $this->actAs('lead')->finish($this->counting('QH-08', 0, begun: 50, done: 40))->assertOk();
        $this->actAs('keeper')->finish($one)->assertOk()->assertJson(['standing' => 'disputed']);
        $this->assertSame('not_ready', $this->readKit('QH-08')['verdict']['verdict']);
    }

    public function test_a_worse_look_that_overlaps_and_was_done_first_holds_until_a_later_one_answers_it(): void
    {
        // Begun before the other and done before it: nobody knows in which order they looked at the gloves.
        $one = $this->counting('QH-08', 0, begun: 60, done: 45);
        $this->actAs('lead')->finish($this->counting('QH-08', 6, begun: 50, done: 40))->assertOk();
        $this->assertNotSame('not_ready', $this->readKit('QH-08')['verdict']['verdict']);
        $this->assertSame('disputed', $this->actAs('keeper')->finish($one)->assertOk()->json('standing'));
        $kit = $this->readKit('QH-08');
        $this->assertSame(['not_ready', 'disagreement'], [$kit['verdict']['verdict'], $kit['due']['because']]);
        $this->artisan('ledger:verify')->assertSuccessful();
        $this->actAs('lead')->finish($this->counting('QH-08', 6, begun: 10, done: 5))->assertOk()->assertJson(['standing' => 'stands']);
        $kit = $this->readKit('QH-08');
        $this->assertSame([false, false], [$kit['verdict']['verdict'] === 'not_ready', $kit['due']['because'] === 'disagreement']);
    }

    public function test_of_two_looks_in_dispute_the_worse_one_holds_whichever_came_last(): void
    {
        $looks = [$this->counting('QH-08', 0, begun: 60, done: 30), $this->counting('QH-08', 6, begun: 60, done: 25)];
        foreach ([$looks, array_reverse($looks)] as $order) {
            DB::beginTransaction();
            $this->actAs('lead')->finish($this->counting('QH-08', 6, begun: 50, done: 40))->assertOk();
            foreach ($order as $look) {
                $this->assertSame('disputed', $this->actAs('keeper')->finish($look)->assertOk()->json('standing'));
            }
            $this->assertSame('not_ready', $this->readKit('QH-08')['verdict']['verdict']);
            $this->artisan('ledger:verify')->assertSuccessful();
            DB::rollBack();
        }
    }

    public function test_a_clock_that_was_not_compared_for_long_puts_the_order_in_doubt(): void
    {
        $one = ['clock_checked_at' => now()->subHours(14)->toIso8601ZuluString()] + $this->counting('QH-08', 0, begun: 30, done: 20);
        $other = ['clock_checked_at' => null] + $this->counting('QH-08', 0, begun: 30, done: 20);
        $this->actAs('lead')->finish($this->counting('QH-08', 6, begun: 120, done: 110))->assertOk();
        $this->actAs('keeper')->finish($one)->assertOk()->assertJson(['standing' => 'disputed']);
        $this->finish($other)->assertOk()->assertJson(['standing' => 'disputed']);
    }

    public function test_a_quick_check_after_the_seal_was_broken_used_or_checked_answers_nothing(): void
    {
        foreach (['seal', 'use', 'check'] as $meanwhile) {
            DB::beginTransaction();
            $kit = $this->actAs('keeper')->readKit('QH-13');
            $quick = [
                'kind' => 'quick', 'rows' => [], 'seal_found' => $this->kit('QH-13')->seal_number, 'begun_at' => $this->ago(60),
                'done_at' => $this->ago(55), 'clock_checked_at' => $this->ago(0),
            ] + $this->asRecorded($kit);
            match ($meanwhile) {
                'seal' => $this->putJson(
                    "/api/kits/QH-13/seals/{$this->ulid()}",
                    ['event' => 'broken', 'reason' => 'Found broken', 'begun_at' => $this->ago(5), 'base' => $kit['base']],
                )->assertOk(),
                'use' => $this->takeOut('QH-13', 1, 30),
                default => $this->finish(['seal_reason' => 'Planned', 'seal_set' => 'S-801'] + $this->asRecorded($kit))->assertOk(),
            };
            $before = Kit::query()->where('code', 'QH-13')->value('last_quick_on');
            $this->finish($quick)->assertOk()->assertJson(['standing' => 'history', 'kind' => 'quick']);
            $this->assertSame($before, Kit::query()->where('code', 'QH-13')->value('last_quick_on'), $meanwhile);
            DB::rollBack();
        }
    }

    public function test_a_quick_check_after_a_move_still_answers(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-13');
        $quick = ['kind' => 'quick', 'rows' => [], 'seal_found' => $this->kit('QH-13')->seal_number] + $this->asRecorded($kit);
        app(\App\Kits\ChangeKit::class)->move(
            $this->kit('QH-13'),
            \App\Kits\Models\Place::query()->where('name', 'Saw shed')->firstOrFail(),
            $this->person('lead'),
            now(),
            now()->toDateString(),
        );
        $this->finish($quick)->assertOk()->assertJson(['standing' => 'stands']);
        $this->assertSame(now()->toDateString(), $this->kit('QH-13')->last_quick_on);
    }

    public function test_a_restock_after_anything_is_recorded_as_far_as_the_pieces_are_there(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $body = $this->restock($plan);
        $body['in'][0]['quantity'] = 90;
        $this->takeOut('QH-07', 1, 30, $plan['out'][0]['lot_id']);
        $answer = $this->putJson("/api/kits/QH-07/restocks/{$this->ulid()}", $body)->assertOk()->json();
        $this->assertNotNull($answer['operation']);
        $texts = implode('|', array_column($answer['unsettled'], 'text'));
        $this->assertMatchesRegularExpression('/: 0 of 1 recorded, because no more were on record there/', $texts);
        $this->assertMatchesRegularExpression('/: \d+ of 90 recorded/', $texts);
        $this->assertCount(2, $answer['unsettled']);
        $this->assertCount(2, $this->getJson('/api/unsettled?kit=QH-07')->json());
    }

    public function test_two_restocks_of_one_list_put_nothing_in_twice_that_is_not_there(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $this->putJson("/api/kits/QH-07/restocks/{$this->ulid()}", $this->restock($plan))->assertOk()->assertJson(['unsettled' => []]);
        $second = $this->putJson("/api/kits/QH-07/restocks/{$this->ulid()}", $this->restock($plan))->assertOk()->json();
        $this->assertSame(
            ['not_there'],
            array_values(array_unique(array_column($second['unsettled'], 'because'))),
            'What was taken out is gone; what the store still has goes in.',
        );
    }

    public function test_what_others_took_from_the_store_meanwhile_is_no_fault_of_the_second(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $row = $plan['in'][0];
        $there = (int) DB::table('holdings')->where('store_id', $plan['store'])->where('lot_id', $row['lot_id'])->where('condition', 'good')->value('quantity');
        $take = new LotMovement($row['lot_id'], $there, Location::store($plan['store']), null, 'discarded');
        app(Record::class)->write(Operation::now(
            $this->ulid(),
            OperationKind::Dispose,
            $this->person('lead'),
            now(),
            now()->toDateString(),
        )->of([], [$this->store()])->with([$take]));
        $answer = $this->putJson("/api/kits/QH-07/restocks/{$this->ulid()}", $this->restock($plan))->assertOk()->json();
        $this->assertSame(['not_there'], array_column($answer['unsettled'], 'because'));
    }

    public function test_what_was_done_before_the_kit_was_retired_is_recorded_and_what_was_done_after_it_is_kept(): void
    {
        $before = $this->counting('QH-08', 3, begun: 60, done: 50);
        $after = $this->counting('QH-08', 3, begun: 15, done: 5);
        $this->travelTo(now()->subMinutes(30));
        app(\App\Kits\RetireKit::class)($this->kit('QH-08'), 'worn out', [], $this->person('lead'), now(), now()->toDateString());
        $this->travelTo(now()->addMinutes(30));
        $answer = $this->finish($before)->assertOk()->json();
        $this->assertSame(['history', 0], [$answer['standing'], $this->pieces('QH-08')]);
        $this->assertSame($answer, $this->finish($before, $answer['id'])->assertOk()->json());

        $id = $this->ulid();
        $kept = $this->finish($after, $id)->assertAccepted()->json('unsettled');
        $this->assertSame(['kit_retired', null], [$kept[0]['because'], $kept[0]['number']]);
        $this->assertSame($kept, $this->finish($after, $id)->assertAccepted()->json('unsettled'), 'Sent again it is answered alike.');
        $this->assertSame(1, Unsettled::query()->where('operation_id', $id)->count());
        $this->assertSame(
            3,
            collect(json_decode(
                (string) Unsettled::query()->where('operation_id', $id)->value('body'),
                true,
            )['rows'])->firstWhere('item', self::ITEM)['quantity'],
            'All that was sent is kept.',
        );
        $this->actAs('lead')->finish($after, $id)->assertUnprocessable()->assertJsonValidationErrors('id');
    }

    public function test_pieces_for_a_kit_that_is_out_of_service_leave_the_store_and_wait_for_somebody_to_settle_them(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        app(\App\Kits\RetireKit::class)($this->kit('QH-07'), 'worn out', [], $this->person('lead'), now()->subMinutes(10), now()->toDateString());
        $inKit = fn (): int => (int) DB::table('holdings')->where('kit_id', $this->kit('QH-07')->id)->sum('quantity');
        $unaccounted = static fn (): int => (int) DB::table('holdings')->whereNull('kit_id')->whereNull('store_id')->sum('quantity');
        [$before, $open] = [$inKit(), $unaccounted()];
        $id = $this->ulid();
        $answer = $this->putJson("/api/kits/QH-07/restocks/{$id}", $this->restock($plan))->assertOk()->json();
        $this->assertNotNull($answer['operation'], 'The pieces left the store: that is on record.');
        $this->assertSame(['kit_retired'], array_values(array_unique(array_column($answer['unsettled'], 'because'))));
        $put = array_sum(array_column($plan['in'], 'quantity'));
        $this->assertGreaterThan(0, $put);
        $this->assertSame([$before, $open + $put], [$inKit(), $unaccounted()], 'Nothing reached the kit.');
        $this->assertSame($answer, $this->putJson("/api/kits/QH-07/restocks/{$id}", $this->restock($plan))->assertOk()->json(), 'Sent twice, it counts once.');
        $rows = Unsettled::query()->where('operation_id', $id)->where('pieces', '>', 0)->get();
        $this->assertStringContainsString('The kit was taken out of service by', collect($this->getJson('/api/unsettled')->assertOk()->json())
            ->pluck('text')->implode(' '));
        foreach ($rows as $row) {
            $this->putJson("/api/unsettled/{$row->id}", ['note' => 'Still in the box', 'where' => 'into_kit'])->assertUnprocessable();
            $this->putJson("/api/unsettled/{$row->id}", ['note' => 'Still in the box', 'where' => 'to_store'])->assertSuccessful();
        }
        $this->assertSame([$before, $open], [$inKit(), $unaccounted()]);
        $this->artisan('ledger:verify')->assertSuccessful();
    }

    public function test_a_seal_that_was_broken_or_set_while_restocking_stays_on_record(): void
    {
        $number = (string) $this->kit('QH-14')->seal_number;
        $kit = $this->actAs('keeper')->readKit('QH-14');
        $row = $kit['contents'][0];
        $body = [
            'store' => $this->store()->id, 'begun_at' => $this->ago(5), 'base' => $kit['base'], 'in' => [],
            'out' => [['pocket_id' => $row['pocket_id'], 'lot_id' => $row['lot_id'], 'condition' => 'good', 'quantity' => 1, 'to' => 'discard']],
        ];
        $this->putJson("/api/kits/QH-14/restocks/{$this->ulid()}", $body + ['seal_reason' => 'A glove was torn', 'seal_set' => 'S-555'])->assertOk();
        $this->finish(['seal_reason' => 'Planned full check'] + $this->asRecorded($this->readKit('QH-14')))->assertOk();
        $seals = DB::table('seals')->join(
            'operations',
            'operations.number',
            '=',
            'seals.operation_number',
        )->where('kit_id', $kit['id'])->orderByDesc('operation_number')->orderBy('position')->limit(3)->get(['event', 'seal_number', 'reason', 'user_name'])->map(fn ($one) => (array) $one)->all();
        $this->assertSame([
            ['event' => 'broken', 'seal_number' => 'S-555', 'reason' => 'Planned full check', 'user_name' => 'Tobias Renn'],
            ['event' => 'broken', 'seal_number' => $number, 'reason' => 'A glove was torn', 'user_name' => 'Tobias Renn'],
            ['event' => 'set', 'seal_number' => 'S-555', 'reason' => null, 'user_name' => 'Tobias Renn'],
        ], $seals);
        $notes = array_merge(...array_column($this->getJson('/api/kits/QH-14/history')->json('entries'), 'notes'));
        $this->assertContains("Seal {$number} broken: A glove was torn", $notes);
        $this->assertContains('Sealed with S-555', $notes);
    }

    public function test_a_seal_set_after_a_check_that_arrives_late_stays_whole(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-14');
        $check = [
            'begun_at' => $this->ago(60), 'done_at' => $this->ago(50), 'clock_checked_at' => $this->ago(0),
            'seal_reason' => 'Planned',
        ] + $this->asRecorded($kit);
        $this->putJson(
            "/api/kits/QH-14/seals/{$this->ulid()}",
            [
                'event' => 'broken', 'reason' => 'Found open', 'begun_at' => $this->ago(30),
                'done_at' => $this->ago(30), 'clock_checked_at' => $this->ago(0), 'base' => $kit['base'],
            ],
        )->assertOk();
        $base = $this->readKit('QH-14')['base'];
        $this->putJson(
            "/api/kits/QH-14/seals/{$this->ulid()}",
            [
                'event' => 'set', 'seal_number' => 'S-901', 'begun_at' => $this->ago(20), 'done_at' => $this->ago(20),
                'clock_checked_at' => $this->ago(0), 'base' => $base,
            ],
        )->assertOk();
        $this->finish($check)->assertOk()->assertJson(['standing' => 'stands']);
        $this->assertSame([\Sarcina\Core\Due\Seal::Intact, 'S-901'], [$this->kit('QH-14')->seal, $this->kit('QH-14')->seal_number]);
    }

    public function test_what_waits_is_settled_once_with_what_was_found(): void
    {
        $this->test_what_was_put_in_while_it_was_counted_needs_somebody_and_lowers_the_verdict();
        $id = Unsettled::query()->max('id');
        $this->putJson("/api/unsettled/{$id}", ['note' => ''])->assertUnprocessable()->assertJsonValidationErrors('note');
        $left = $this->putJson("/api/unsettled/{$id}", ['note' => 'Counted again: two pairs'])->assertOk()->json();
        $this->assertNotContains($id, array_column($left, 'id'));
        $this->actAs('lead')->putJson("/api/unsettled/{$id}", ['note' => 'Me too'])->assertUnprocessable();
        $this->assertSame('Counted again: two pairs', Unsettled::query()->whereKey($id)->value('settled_note'));
    }

    public function test_a_clock_behind_what_its_doer_had_seen_is_not_believed(): void
    {
        $this->takeOut('QH-08', 1, minutesAgo: 0);
        $check = [
            'begun_at' => $this->ago(300), 'done_at' => $this->ago(290), 'clock_checked_at' => $this->ago(0),
        ] + $this->asRecorded($this->actAs('keeper')->readKit('QH-08'));
        $this->finish($check)->assertOk()->assertJson(['standing' => 'stands']);
        $this->assertNull($this->kit('QH-08')->used_on, 'The check answers the use that its checker had seen.');
    }

    /** @return array<string, mixed> a full check in which so many gloves were counted, begun and done so many minutes ago */
    private function counting(string $kit, int $gloves, int $begun, int $done): array
    {
        $check = $this->asRecorded($this->actAs('keeper')->readKit($kit));
        $isFirst = true;
        foreach ($check['rows'] as $index => $row) {
            if ($row['item'] === self::ITEM) {
                $check['rows'][$index]['quantity'] = $isFirst ? $gloves : 0;
                $isFirst = false;
            }
        }

        return ['begun_at' => $this->ago($begun), 'done_at' => $this->ago($done), 'clock_checked_at' => $this->ago(0)] + $check;
    }

    private function ago(int $minutes): string
    {
        return now()->subMinutes($minutes)->toIso8601ZuluString();
    }

    private function pieces(string $kit, string $item = self::ITEM): int
    {
        return (int) DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('holdings.kit_id', $this->kit($kit)->id)->where('items.code', $item)->sum('holdings.quantity');
    }

    private function putIn(string $code, int $pieces, int $minutesAgo): void
    {
        $kit = Kit::locked($this->kit($code)->id);
        $held = $kit->holdings()->whereHas('lot.item', fn ($item) => $item->where('code', self::ITEM))->firstOrFail();
        $this->record(OperationKind::Transfer, $kit, $minutesAgo, [
            new LotMovement(
                $held->lot_id,
                $pieces,
                Location::store($this->store()->id),
                Location::pocket($kit->id, (string) $held->pocket_id),
                'transferred',
            ),
        ], new LotMovement($held->lot_id, $pieces, null, Location::store($this->store()->id), 'received'));
    }

    private function takeOut(string $code, int $pieces, int $minutesAgo, ?string $lot = null): void
    {
        $kit = Kit::locked($this->kit($code)->id);
        $held = ($lot === null ? $kit->holdings()->whereHas(
            'lot.item',
            fn ($query) => $query->where('code', self::ITEM),
        ) : $kit->holdings()->where('lot_id', $lot))->first() ?? $kit->holdings()->firstOrFail();
        $this->record(
            OperationKind::Use,
            $kit,
            $minutesAgo,
            [new LotMovement($held->lot_id, $pieces, Location::pocket($kit->id, (string) $held->pocket_id, $held->condition), null, 'used')],
        );
    }

    /** @param  list<LotMovement>  $movements */
    private function record(OperationKind $kind, Kit $kit, int $minutesAgo, array $movements, ?LotMovement $first = null): void
    {
        $at = now()->subMinutes($minutesAgo);
        $write = fn (OperationKind $which, array $kits, array $moves, CarbonInterface $when): int => app(Record::class)->write(
            Operation::now($this->ulid(), $which, $this->person('lead'), $when, $when->toDateString())->of($kits, [$this->store()])->with($moves),
        );
        if ($first !== null) {
            $write(OperationKind::Receive, [], [$first], $at);
        }
        $write($kind, [$kit], $movements, $at);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return array<string, mixed>
     */
    private function restock(array $plan): array
    {
        return [
            'store' => $plan['store'], 'base' => $plan['base'], 'begun_at' => $this->ago(5),
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
}
