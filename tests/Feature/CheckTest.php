<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Models\Check;
use App\Ledger\Models\Movement;
use App\Ledger\Models\Operation;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class CheckTest extends TestCase
{
    public function test_a_check_with_all_as_recorded_moves_nothing_and_answers_what_was_due(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-04');
        $this->assertSame(now()->toDateString(), $kit['due']['next']);
        $before = Movement::query()->count();
        $this->finish($this->asRecorded($kit))->assertOk()->assertJson([
            'kit' => 'QH-04', 'kind' => 'full', 'verdict' => 'ready', 'by' => 'Tobias Renn',
        ]);
        $this->assertSame($before, Movement::query()->count());
        $after = $this->readKit('QH-04');
        $this->assertSame(now()->addDays(28)->toDateString(), $after['due']['next']);
        $this->assertSame('Tobias Renn', $after['last_check']['signed']);
    }

    public function test_what_is_counted_otherwise_becomes_movements(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-01');
        $check = $this->asRecorded($kit);
        $plasters = $this->rowOf($check, 'plaster-washproof');
        $recorded = $check['rows'][$plasters]['quantity'];
        $check['rows'][$plasters]['quantity'] = $recorded - 4;
        $soiled = $this->rowOf($check, 'dressing-medium');
        $check['rows'][] = ['quantity' => 1, 'condition' => 'soiled'] + $check['rows'][$soiled];
        $check['rows'][$soiled]['quantity']--;
        $answer = $this->finish($check)->assertOk()->assertJson(['verdict' => 'limited'])->json();
        $this->assertContains(
            'Washproof adhesive dressing, assorted: 56 of 60',
            array_column($this->getJson("/api/checks/{$answer['id']}")->assertOk()->json('findings'), 'text'),
        );
        $moved = Movement::query()->where('operation_number', $answer['number'])->orderBy('position')->get();
        $this->assertSame(
            [['good', 'soiled', 1], ['good', null, 4]],
            $moved->sortBy('quantity')->map(fn (Movement $one): array => [$one->from_condition, $one->to_condition, $one->quantity])->values()->all(),
        );
        $contents = collect($this->readKit('QH-01')['contents']);
        $this->assertSame(1, $contents->firstWhere('condition', 'soiled')['quantity']);
        $this->assertSame([], app(Verify::class)()->faults);
        $history = $this->getJson('/api/kits/QH-01/history')->json('entries.0');
        $this->assertSame(['full_check', 'Tobias Renn'], [$history['kind'], $history['by']]);
        $this->assertContains('found soiled, recorded as good', array_column($history['movements'], 'text'));
    }

    public function test_other_contents_under_the_same_id_are_refused_and_say_so(): void
    {
        $check = $this->asRecorded($this->actAs('keeper')->readKit('QH-03'));
        $id = $this->ulid();
        $this->finish($check, $id)->assertOk();
        $head = DB::table('ledger_head')->value('number');
        // A page from after an upgrade sends a field that may be empty, in another order: the contents are the same.
        $this->finish(array_reverse($check, true) + ['seal_found' => null], $id)->assertOk();
        $check['rows'][0]['quantity']++;
        $this->finish($check, $id)->assertConflict()->assertJsonPath('detail', fn (string $says): bool => str_contains($says, 'is not recorded'));
        $this->assertSame($head, DB::table('ledger_head')->value('number'));
    }

    public function test_sent_twice_it_counts_once(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-02');
        $check = $this->asRecorded($kit);
        $check['rows'][0]['quantity'] += 1;
        $id = $this->ulid();
        $first = $this->finish($check, $id)->assertOk()->json();
        $movements = Movement::query()->count();
        $this->assertSame($first, $this->finish($check, strtoupper($id))->assertOk()->json());
        $this->assertSame([1, $movements], [Operation::query()->where('id', $id)->count(), Movement::query()->count()]);
        $this->actAs('lead')->finish($check, $id)->assertUnprocessable()->assertJsonValidationErrors('id');
    }

    public function test_a_lot_that_is_not_on_record_is_asked_about_and_can_be_said_to_be_new(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-01');
        $check = $this->asRecorded($kit);
        $row = $this->rowOf($check, 'eye-pad');
        $check['rows'][$row]['lot'] = 'ZZ-1';
        $check['rows'][$row]['expires'] = '2031-05';
        $refused = $this->finish($check)->assertUnprocessable();
        $this->assertStringContainsString(
            'No lot "ZZ-1", expires 31 May 2031,',
            $refused->json("errors.rows\\.{$row}\\.lot.0") ?? $refused->json('errors')["rows.{$row}.lot"][0],
        );
        $check['rows'][$row]['new_lot'] = true;
        $this->finish($check)->assertOk();
        $this->assertSame('2031-05-31', DB::table('lots')->where('number', 'ZZ-1')->value('good_until'));
        $this->assertContains('ZZ-1', array_column($this->readKit('QH-01')['contents'], 'lot'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        yield 'an unknown key' => [['sealed' => true], 'sealed', 'not known'];
        yield 'an unknown key of a row' => [['rows.0.expiry' => '2027-03'], 'rows.0.expiry', 'not known'];
        yield 'a negative count' => [['rows.0.quantity' => -1], 'rows.0.quantity', '0 or more'];
        yield 'a huge count' => [['rows.0.quantity' => 100001], 'rows.0.quantity', 'Count again'];
        yield 'half a piece' => [['rows.0.quantity' => 1.5], 'rows.0.quantity', 'whole number'];
        yield 'a count as text' => [['rows.0.quantity' => '3'], 'rows.0.quantity', 'whole number'];
        yield 'a day that is not in the calendar' => [['rows.0.expires' => '2027-02-30'], 'rows.0.expires', 'not a date'];
        yield 'a thirteenth month' => [['rows.0.expires' => '2027-13'], 'rows.0.expires', 'not a date'];
        yield 'a condition that is not known' => [['rows.0.condition' => 'fair'], 'rows.0.condition', 'good, opened'];
        yield 'an item that is not in the catalogue' => [['rows.0.item' => 'moonstone'], 'rows.0.item', 'no item'];
        yield 'a pocket of another kit' => [['rows.0.pocket_id' => '01aaaaaaaaaaaaaaaaaaaaaaaa'], 'rows.0.pocket_id', 'no such pocket'];
        yield 'no name' => [['signed' => ''], 'signed', 'Type your name'];
        yield 'a note that is too long' => [['note' => str_repeat('x', 501)], 'note', '500 characters'];
        yield 'a kit that is not there' => [['kit' => 'QH-99'], 'kit', 'no kit'];
        yield 'a kind that is not known' => [['kind' => 'brief'], 'kind', ''];
        yield 'begun in the future' => [['begun_at' => '2099-01-01T00:00:00Z'], 'begun_at', 'clock'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('bad')]
    public function test_bad_input_is_said_where_it_arose(array $change, string $field, string $says): void
    {
        $check = $this->asRecorded($this->actAs('keeper')->readKit('QH-01'));
        foreach ($change as $path => $value) {
            data_set($check, $path, $value);
        }
        $before = Check::query()->count();
        $errors = $this->finish($check)->assertUnprocessable()->assertHeader('Content-Type', 'application/problem+json')->json('errors');
        $this->assertArrayHasKey($field, $errors, (string) json_encode($errors));
        $this->assertStringContainsString($says, $errors[$field][0]);
        $this->assertSame($before, Check::query()->count());
    }

    public function test_an_id_that_is_no_ulid_is_refused(): void
    {
        $this->finish($this->asRecorded($this->actAs('keeper')->readKit('QH-01')), 'first')->assertUnprocessable()->assertJsonValidationErrors('id');
    }

    public function test_what_others_put_in_meanwhile_is_not_written_over(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-06');
        $check = [
            'begun_at' => now()->subMinutes(30)->toIso8601ZuluString(),
            'done_at' => now()->subMinutes(20)->toIso8601ZuluString(),
            'clock_checked_at' => now()->toIso8601ZuluString(),
        ] + $this->asRecorded($kit);
        $plan = $this->getJson('/api/kits/QH-06/restock')->json();
        $in = array_map(
            static fn (array $row): array => ['pocket_id' => $row['pocket_id'], 'lot_id' => $row['lot_id'], 'quantity' => $row['quantity']],
            $plan['in'],
        );
        $this->actAs('lead')->putJson(
            "/api/kits/QH-06/restocks/{$this->ulid()}",
            ['store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'], 'out' => [], 'in' => $in],
        )->assertOk();
        $restocked = $this->readKit('QH-06')['contents'];
        $this->actAs('keeper')->finish($check)->assertOk()->assertJson(['standing' => 'stands', 'unsettled' => []]);
        $this->assertSame($restocked, $this->readKit('QH-06')['contents'], 'What was put in after the count is still there.');
    }

    public function test_two_checks_of_one_kit_are_both_kept_and_the_ledger_adds_up(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-08');
        $one = $this->asRecorded($kit);
        $gloves = $this->rowOf($one, 'gloves-nitrile-large');
        $one['rows'][$gloves]['quantity'] = 3;
        $this->finish($one)->assertOk();
        $other = $this->asRecorded($this->readKit('QH-08'));
        $other['rows'][$this->rowOf($other, 'gloves-nitrile-large')]['quantity'] = 2;
        $this->actAs('lead')->finish(['signed' => $this->person('lead')->name] + $other)->assertOk();
        $now = $this->asRecorded($this->readKit('QH-08'));
        $this->assertSame(2, $now['rows'][$this->rowOf($now, 'gloves-nitrile-large')]['quantity'], 'What was counted last is what is there.');
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_sealed_kit(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-13');
        $quick = ['rows' => [], 'kind' => 'quick', 'seal_found' => 'S-999'] + $this->asRecorded($kit);
        $number = (string) $this->kit('QH-13')->seal_number;
        $this->assertNull($kit['seal']['number'], 'It is read from the kit.');
        $told = $this->finish($quick)->assertUnprocessable();
        $this->assertStringContainsString('This is not the number on record', $told->json('errors.seal_found.0'));
        $this->assertStringNotContainsString($number, (string) $told->getContent(), 'Who has not read it is not told it.');
        $signed = $this->finish(['seal_found' => ' '.strtolower($number).' '] + $quick)->assertOk()->json('id');
        $this->getJson("/api/checks/{$signed}")->assertOk()->assertJson(['kind' => 'quick', 'rows' => []]);
        $this->assertSame($number, $this->kit('QH-13')->seal_number);
        $full = $this->asRecorded($kit);
        $this->finish($full)->assertUnprocessable()->assertJsonValidationErrors('seal_reason');
        $this->finish($full + ['seal_reason' => 'Planned full check', 'seal_set' => 'S-777'])->assertOk();
        $this->assertSame(['intact', 'S-777'], [$this->kit('QH-13')->seal->value, $this->kit('QH-13')->seal_number]);
        $this->finish(['kind' => 'quick', 'rows' => []] + $this->asRecorded($this->readKit('QH-01')))->assertUnprocessable()->assertJsonValidationErrors('kind');
    }

    public function test_the_running_verdict_changes_with_the_count_and_records_nothing(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-01');
        $rows = $this->asRecorded($kit)['rows'];
        $this->postJson('/api/kits/QH-01/judgement', ['rows' => $rows])->assertOk()->assertJson(['verdict' => 'ready']);
        $gloves = array_keys(array_filter($rows, static fn (array $row): bool => $row['item'] === 'gloves-nitrile-large'));
        foreach ($gloves as $index) {
            $rows[$index]['quantity'] = 0;
        }
        $none = $this->postJson('/api/kits/QH-01/judgement', ['rows' => $rows])->assertOk()->assertJson(['verdict' => 'not_ready'])->json();
        $this->assertSame('Not ready. Do not use this kit: 1 critical fault.', $none['sentence']);
        $this->assertSame($kit, $this->readKit('QH-01'), 'Nothing was recorded.');
    }

    public function test_the_running_verdict_is_quick(): void
    {
        $rows = $this->asRecorded($this->actAs('keeper')->readKit('QH-16'))['rows'];
        $this->postJson('/api/kits/QH-16/judgement', ['rows' => $rows])->assertOk();
        $times = [];
        for ($turn = 0; $turn < 7; $turn++) {
            $from = hrtime(true);
            $this->postJson('/api/kits/QH-16/judgement', ['rows' => $rows])->assertOk();
            $times[] = (hrtime(true) - $from) / 1e6;
        }
        sort($times);
        $this->assertLessThan(150, $times[3], 'Milliseconds, the median of seven.');
    }

    public function test_a_kit_that_was_emptied_is_not_ready_and_says_of_how_many_lines_nothing_is_there(): void
    {
        $this->actAs('keeper');
        $kit = $this->readKit('QH-04');
        $this->assertSame('ready', $kit['verdict']['verdict']);
        // No line of it that is left is critical: what is short alone would make it limited.
        $critical = array_column(array_filter($kit['verdict']['lines'], static fn (array $line): bool => $line['rank'] === 'critical'), 'code');
        $check = $this->asRecorded($kit);
        $check['rows'] = array_values(array_filter(
            $check['rows'],
            static fn (array $row, int $at): bool => in_array($kit['contents'][$at]['line'], $critical, true),
            ARRAY_FILTER_USE_BOTH,
        ));
        $this->finish($check)->assertSuccessful();
        $this->app?->forgetScopedInstances();
        $after = $this->readKit('QH-04')['verdict'];
        $required = count(array_filter($after['lines'], static fn (array $line): bool => $line['rank'] === 'required'));
        $this->assertSame('not_ready', $after['verdict']);
        $emptied = collect($after['reasons'])->firstWhere('kind', 'mostly_missing');
        $this->assertSame(['stop', "No usable piece for {$required} of {$required} required lines"], [$emptied['severity'], $emptied['text']]);
        $this->assertSame('restock', $emptied['job']);
        $this->assertContains($emptied['text'], collect($this->getJson('/api/kits?q=QH-04')->json('kits'))->firstWhere('code', 'QH-04')['reasons']);
    }

    public function test_a_full_check_is_signed_only_when_every_line_was_looked_at(): void
    {
        $this->actAs('keeper');
        $kit = $this->readKit('QH-04');
        $check = $this->asRecorded($kit);
        [$first, $second] = $kit['verdict']['lines'];
        $check['answered'] = array_values(array_diff($check['answered'], [$first['code'], $second['code']]));
        $this->finish($check)->assertJsonValidationErrors(['answered' => "Not everything was looked at: {$first['need']}, {$second['need']}."]);
        unset($check['answered']);
        $this->finish($check)->assertJsonValidationErrors(['answered' => 'Say of each line that it was looked at.']);
        $this->assertSame($kit['last_check']['id'] ?? null, $this->readKit('QH-04')['last_check']['id'] ?? null, 'Nothing is recorded.');
        $this->finish($this->asRecorded($kit))->assertSuccessful();
    }

    public function test_what_lies_in_a_module_that_stayed_closed_is_not_asked_about(): void
    {
        $this->actAs('keeper');
        $kit = $this->readKit('QH-17');
        $check = $this->asRecorded($kit);
        $module = collect($kit['modules'])->firstWhere('code', 'QH-M1');
        $inside = static fn (string $pocket): bool => str_starts_with($pocket, "{$module['id']}.");
        $check['rows'] = array_values(array_filter($check['rows'], static fn (array $row): bool => ! $inside($row['pocket_id'])));
        $lines = array_filter($kit['verdict']['lines'], static fn (array $line): bool => ! $inside((string) $line['pocket_id']));
        $check['answered'] = array_values(array_column($lines, 'code'));
        $this->finish([...$check, 'seal_reason' => 'planned full check'])->assertJsonValidationErrors(['answered' => 'Not everything was looked at']);
        $this->finish([...$check, 'modules' => [['code' => 'QH-M1', 'relied' => true, 'seal_found' => 'EY-1407']]])->assertSuccessful();
    }
}
