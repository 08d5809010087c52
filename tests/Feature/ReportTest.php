<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\Support\ReportsUse;
use Tests\TestCase;

/** What somebody without an account says was used lowers the verdict at once, and is in the record only once it is confirmed. */
final class ReportTest extends TestCase
{
    use ReportsUse;

    public function test_a_report_lowers_the_verdict_and_its_confirmation_takes_the_pieces(): void
    {
        $token = $this->code('QH-16');
        $this->assertSame(0, DB::table('report_codes')->where('hash', $token)->count(), 'it is kept as a hash');
        $before = $this->actAs('keeper')->readKit('QH-16');
        $this->assertSame('ready', $before['verdict']['verdict']);
        $this->signOut();
        $names = $this->getJson("/api/reports/{$token}")->assertOk()->json();
        $this->assertSame(['item', 'name'], array_keys($names[0]));
        $this->report($token, ['gloves-nitrile-large' => 99], $id = $this->ulid())->assertNoContent();
        $this->report($token, ['gloves-nitrile-large' => 99], $id)->assertNoContent();
        $this->assertSame(1, DB::table('kit_reports')->count());
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $this->assertSame('not_ready', $kit['verdict']['verdict'], 'gloves are critical');
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $kit['id'])->value('verdict'));
        $this->assertStringContainsString('reported used', $kit['verdict']['sentence']);
        $reason = collect($kit['verdict']['reasons'])->firstWhere('kind', 'reported_used');
        $this->assertStringContainsString('unconfirmed: 99 ×', $reason['text'] ?? '');
        $this->assertSame(['report', 'fix'], [$reason['job'] ?? '', $reason['severity'] ?? '']);
        $this->assertSame($before['contents'], $kit['contents'], 'nothing of it is in the record');
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-16');
        $this->assertSame('report', $row['job']);
        $this->assertSame('report', $kit['due']['because']);

        $gloves = collect($kit['contents'])->firstWhere('item', 'gloves-nitrile-large');
        $use = [
            'base' => $kit['base'], 'begun_at' => now()->toIso8601ZuluString(), 'report_id' => $id, 'seal_reason' => 'Reported used',
            'taken' => [[...array_intersect_key($gloves, array_flip(['pocket_id', 'lot_id', 'condition', 'opened_on'])), 'quantity' => 1, 'why' => 'used']],
        ];
        DB::table('kits')->where('code', 'QH-16')->update(['responsible_id' => null, 'deputy_id' => null]);
        $this->putJson('/api/kits/QH-16/uses/'.$this->ulid(), $use)->assertForbidden();
        $this->actAs('lead')->putJson('/api/kits/QH-16/uses/'.($operation = $this->ulid()), $use)->assertOk();
        $kit = $this->readKit('QH-16');
        $this->assertNotContains('reported_used', array_column($kit['verdict']['reasons'], 'kind'));
        $number = DB::table('operations')->where('id', $operation)->value('number');
        $this->assertSame(['confirmed', $number], array_values((array) DB::table('kit_reports')->first(['outcome', 'operation_number'])));
        // Of two who confirm it the second is told.
        $this->putJson('/api/kits/QH-16/uses/'.$this->ulid(), ['base' => $kit['base'], ...$use])->assertUnprocessable()->assertJsonStructure(['errors' => ['report_id']]);
        $this->putJson("/api/reports/{$id}/rejection", ['reason' => 'No'])->assertUnprocessable();
    }

    public function test_a_rejected_report_gives_the_verdict_back_and_keeps_its_reason(): void
    {
        $token = $this->code('QH-16');
        $this->report($token, ['foil-blanket' => 1], $id = $this->ulid())->assertNoContent();
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $this->assertNotSame('ready', $kit['verdict']['verdict'], 'never quite ready while it waits');
        $this->actAs('lead')->putJson("/api/reports/{$id}/rejection", [])->assertUnprocessable();
        DB::table('kits')->where('code', 'QH-16')->update(['responsible_id' => null, 'deputy_id' => null]);
        $this->actAs('keeper')->putJson("/api/reports/{$id}/rejection", ['reason' => 'x'])->assertForbidden();
        $reports = $this->actAs('lead')->putJson("/api/reports/{$id}/rejection", ['reason' => 'Counted: nothing is missing'])->assertOk()->json();
        $this->assertSame(['rejected', 'Counted: nothing is missing'], [$reports[0]['outcome'], $reports[0]['reason']]);
        $this->assertSame('ready', $this->readKit('QH-16')['verdict']['verdict']);
    }

    public function test_of_an_item_those_may_be_gone_that_count_whatever_else_of_it_lies_there(): void
    {
        // A month is printed on those that count, and a day of it that is past on the others: as text that day is the later one.
        $this->travelTo(now()->startOfMonth()->addMonth()->addDays(14)->setTime(12, 0));
        $token = $this->code('QH-16');
        $check = $this->asRecorded($kit = $this->actAs('lead')->readKit('QH-16'));
        $gloves = collect($kit['contents'])->firstWhere('item', 'gloves-nitrile-large');
        $rows = array_values(array_filter($check['rows'], static fn (array $row): bool => $row['item'] !== 'gloves-nitrile-large'));
        $piece = ['pocket_id' => $gloves['pocket_id'], 'item' => 'gloves-nitrile-large', 'condition' => 'good', 'quantity' => 20, 'new_lot' => true];
        $check['rows'] = [
            ...$rows, [...$piece, 'lot' => 'PAST', 'expires' => now()->format('Y-m-10')], [...$piece, 'lot' => 'COUNTS', 'expires' => now()->format('Y-m')],
        ];
        $this->finish($check)->assertOk();
        $line = fn (): array => collect($this->readKit('QH-16')['verdict']['lines'])->firstWhere('item', 'gloves-nitrile-large');
        $this->assertSame('early', $line()['state'], 'those of this month count still');
        $short = fn (): bool => collect($this->readKit('QH-16')['verdict']['reasons'])->contains('kind', 'reported_used')
            && $this->readKit('QH-16')['verdict']['verdict'] === 'not_ready';
        $this->travel(1)->minutes();
        $before = $this->readKit('QH-16')['verdict']['verdict'];
        $this->assertNotSame('not_ready', $before);
        $this->report($token, ['gloves-nitrile-large' => 20])->assertNoContent();
        $this->actAs('lead');
        $this->assertTrue($short(), 'all that count may be gone');
    }

    public function test_nothing_taken_confirms_no_report(): void
    {
        $token = $this->code('QH-16');
        $this->report($token, ['gloves-nitrile-large' => 1], $id = $this->ulid())->assertNoContent();
        $kit = $this->actAs('lead')->readKit('QH-16');
        $none = ['base' => $kit['base'], 'begun_at' => now()->toIso8601ZuluString(), 'taken' => [], 'handed_back_by' => $this->person('lead')->name];
        $this->putJson('/api/kits/QH-16/uses/'.$this->ulid(), [...$none, 'report_id' => $id])->assertUnprocessable()->assertJsonStructure(['errors' => ['taken']]);
        $this->putJson('/api/kits/QH-16/uses/'.$this->ulid(), $none)->assertOk();
        $this->assertNull(DB::table('kit_reports')->where('id', $id)->value('outcome'), 'it waits');
    }

    public function test_a_judging_that_began_before_the_report_is_not_kept_over_it(): void
    {
        $token = $this->code('QH-16');
        $kit = $this->kit('QH-16');
        // It has judged the kit as ready and has not kept that yet when the report comes.
        app(\App\Judging\KitStates::class)->judgeAgain([$kit->id], now()->toDateString(), function () use ($token): void {
            $this->report($token, ['gloves-nitrile-large' => 99])->assertNoContent();
        });
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $kit->id)->value('verdict'));
    }

    public function test_it_answers_alike_for_any_token_and_limits_what_is_kept(): void
    {
        $token = $this->code('QH-16');
        $this->signOut();
        $this->assertSame([], $this->getJson('/api/reports/nothing-of-the-kind')->assertOk()->json());
        $this->report('nothing-of-the-kind', ['foil-blanket' => 1])->assertNoContent();
        $this->report($token, ['no-such-item' => 1])->assertNoContent();
        $this->report($token, ['foil-blanket' => 0])->assertUnprocessable();
        $this->assertSame(0, DB::table('kit_reports')->count());
        for ($at = 0; $at < 6; $at++) {
            $this->report($token, ['foil-blanket' => 1])->assertNoContent();
        }
        $this->assertSame(5, DB::table('kit_reports')->count());
        $this->assertSame('not_ready', $this->actAs('keeper')->readKit('QH-16')['verdict']['verdict'], 'with so many waiting nobody knows');
        $this->signOut();
        for ($at = 0; $at < 12; $at++) {
            $this->report($token, ['foil-blanket' => 1]);
        }
        $this->report($token, ['foil-blanket' => 1])->assertTooManyRequests();
        $this->report($this->code('QH-15'), ['foil-blanket' => 1])->assertNoContent();
        $this->signOut();
        for ($at = 0; $at < 20; $at++) {
            $this->report("made-up-{$at}", ['foil-blanket' => 1]);
        }
        $this->report('made-up-too', ['foil-blanket' => 1])->assertTooManyRequests();
    }

    public function test_a_withdrawn_code_leads_nowhere(): void
    {
        $token = $this->code('QH-16');
        $other = $this->code('QH-16');
        $this->assertSame([], $this->getJson("/api/reports/{$token}")->json(), 'the newer takes the place of the older');
        $this->assertNotSame([], $this->getJson("/api/reports/{$other}")->json());
        $this->actAs('lead')->deleteJson('/api/kits/QH-16/report-code')->assertOk()->assertJsonPath('made_at', null);
        $this->assertSame([], $this->getJson("/api/reports/{$other}")->json());
        $this->actAs('keeper')->postJson('/api/kits/QH-16/report-code')->assertForbidden();
    }

    public function test_a_member_reports_what_they_may_not_record(): void
    {
        $this->actAs('member')->putJson('/api/kits/QH-16/reports/'.$this->ulid(), ['items' => [['item' => 'foil-blanket', 'pieces' => 1]]])->assertOk();
        $this->assertSame($this->person('member')->name, $this->getJson('/api/kits/QH-16/reports')->json('0.by'));
        $this->putJson('/api/kits/QH-16/reports/'.$this->ulid(), ['items' => [['item' => 'no-such-item', 'pieces' => 1]]])->assertUnprocessable();
        $this->actAs('auditor')->putJson('/api/kits/QH-16/reports/'.$this->ulid(), ['items' => [['item' => 'foil-blanket', 'pieces' => 1]]])->assertForbidden();
    }
}
