<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Judging\KitStates;
use Illuminate\Support\Facades\DB;
use Tests\Support\ReportsUse;
use Tests\TestCase;

/** A full check counts what was reported used before it was begun. The report still waits for an answer, and lowers nothing any more. */
final class ReportAndCheckTest extends TestCase
{
    use ReportsUse;

    public function test_a_full_check_since_has_counted_what_was_used(): void
    {
        $token = $this->code('QH-16');
        $this->report($token, ['gloves-nitrile-large' => 99], $id = $this->ulid())->assertNoContent();
        $this->actAs('lead')->putJson("/api/reports/{$id}/confirmation")->assertUnprocessable();
        $this->travel(10)->minutes();
        $this->finish($this->asRecorded($this->readKit('QH-16')))->assertOk();
        $kit = $this->readKit('QH-16');
        $this->assertSame('ready', $kit['verdict']['verdict'], 'the pieces are not taken twice');
        $this->assertSame('ready', $this->stateOf('QH-16'), 'Today says the same');
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-16');
        $this->assertSame(['soon', 'report'], [$row['band'], $row['job']], 'the report still waits for an answer');
        $this->assertNotSame('report', $kit['due']['because']);
        $this->putJson("/api/reports/{$id}/confirmation")->assertOk();
        $this->assertSame('ready', $this->readKit('QH-16')['verdict']['verdict']);
    }

    public function test_what_is_reported_while_a_check_is_under_way_is_not_counted_by_it(): void
    {
        $token = $this->code('QH-16');
        $kit = $this->actAs('lead')->readKit('QH-16');
        $check = [...$this->asRecorded($kit), 'begun_at' => ($begun = now())->toIso8601ZuluString()];
        $this->travel(5)->minutes();
        $this->report($token, ['gloves-nitrile-large' => 99])->assertNoContent();
        $this->travel(5)->minutes();
        $asCounted = fn (string $at): string => $this->actAs('lead')
            ->postJson('/api/kits/QH-16/judgement', ['rows' => $check['rows'], 'begun_at' => $at])->assertOk()->json('verdict');
        $this->assertSame('not_ready', $asCounted($begun->toIso8601ZuluString()));
        $this->assertSame('ready', $asCounted(now()->toIso8601ZuluString()), 'begun since: it is counted');
        $this->assertSame('not_ready', $this->postJson('/api/kits/QH-16/judgement', ['rows' => $check['rows']])->json('verdict'), 'nobody knows when');
        $this->postJson('/api/kits/QH-16/judgement', ['rows' => $check['rows'], 'begun_at' => now()->addDay()->toIso8601ZuluString()])
            ->assertUnprocessable()->assertJsonPath('errors.begun_at.0', 'This begins in the future; set this device\'s clock.');
        $this->finish($check)->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-16')['verdict']['verdict']);
        $this->assertSame('not_ready', $this->stateOf('QH-16'), 'nor does Today say so');
    }

    public function test_a_report_of_a_module_is_counted_by_who_opens_it(): void
    {
        $this->assertSame('limited', $this->stateOf('QH-17'), 'for what it lacks otherwise');
        $this->report($this->code('QH-M1'), ['eyewash-bottle' => 99])->assertNoContent();
        $this->assertSame('not_ready', $this->stateOf('QH-17'));
        $this->travel(5)->minutes();
        $check = $this->asRecorded($this->actAs('lead')->readKit('QH-17'));
        $seal = DB::table('kits')->where('code', 'QH-M1')->value('seal_number');
        $closed = [['code' => 'QH-M1', 'relied' => true, 'seal_found' => $seal]];
        $this->finish([...$check, 'modules' => $closed])->assertOk();
        $this->assertSame(['not_ready', 'not_ready'], [$this->stateOf('QH-17'), $this->readKit('QH-17')['verdict']['verdict']], 'nobody looked into it');
        $this->travel(5)->minutes();
        $this->finish([...$this->asRecorded($this->readKit('QH-M1')), 'seal_reason' => 'Reported used', 'seal_set' => 'EY-1501'])->assertOk();
        $this->assertSame(
            ['limited', 'limited'], [$this->stateOf('QH-17'), $this->readKit('QH-17')['verdict']['verdict']], 'what is there was counted',
        );
    }

    public function test_a_check_by_a_clock_that_may_be_wrong_counts_no_report(): void
    {
        $token = $this->code('QH-16');
        $this->actAs('lead');
        $check = $this->asRecorded($this->readKit('QH-16'));
        // Counted before the report came, by a clock that is an hour fast and was compared with none.
        $fast = ['begun_at' => now()->addMinutes(55)->toIso8601ZuluString(), 'done_at' => now()->addHour()->toIso8601ZuluString()];
        $this->report($token, ['gloves-nitrile-large' => 99], $id = $this->ulid())->assertNoContent();
        $this->travel(90)->minutes();
        $this->actAs('lead')->finish([...$check, ...$fast])->assertOk();
        $this->assertSame('not_ready', $this->readKit('QH-16')['verdict']['verdict'], 'it may have been begun before');
        $this->putJson("/api/reports/{$id}/confirmation")->assertUnprocessable();
    }

    /** As Today and the lists read it. */
    private function stateOf(string $kit): string
    {
        $state = DB::table('kit_states')->where('kit_id', $this->kit($kit)->id)->first();
        $this->assertTrue($state !== null && KitStates::isPresent($state, now()->toDateString()), 'it is present');

        return $state->verdict;
    }
}
