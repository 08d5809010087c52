<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\SignedName;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What keeps a kit from being called ready when it is not: what is opened, who may use it, what may not stand in, who signed, what was noted. */
final class NoWrongReadyTest extends TestCase
{
    public function test_a_roll_in_use_counts_through_its_opened_life_and_not_a_day_longer(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $row = collect($kit['contents'])->firstWhere('item', 'tape-microporous');
        $this->assertSame(365, $row['opened_life_days'], 'Twelve calendar months have at least so many days.');
        $check = $this->asRecorded($kit);
        $at = $this->rowOf($check, 'tape-microporous');
        $line = fn (): array => collect($this->readKit('QH-16')['verdict']['lines'])->firstWhere('code', $row['line']);
        $before = $line()['effective'];
        foreach ([[30, $before], [364, $before], [366, '0'], [null, '0']] as [$days, $effective]) {
            $opened = $days === null ? null : now()->subDays($days)->toDateString();
            $check['rows'][$at] = [...$check['rows'][$at], 'condition' => 'opened', 'opened_on' => $opened];
            $check['base'] = $this->readKit('QH-16')['base'];
            $this->finish($check)->assertOk();
            $this->app?->forgetScopedInstances();
            $this->assertSame($effective, $line()['effective'], "opened {$days} days ago");
            $held = collect($this->readKit('QH-16')['contents'])->firstWhere('item', 'tape-microporous');
            $this->assertSame(['opened', $opened], [$held['condition'], $held['opened_on']]);
        }
        $check['rows'][$at]['opened_on'] = now()->addDays(2)->toDateString();
        $this->finish($check)->assertJsonValidationErrors(["rows.{$at}.opened_on"]);
        $check['rows'][$at] = [...$check['rows'][$at], 'condition' => 'good'];
        $this->finish($check)->assertJsonValidationErrors(["rows.{$at}.opened_on"]);
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_sealed_piece_that_is_opened_in_use_ends_the_state_on_its_last_day(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-16');
        $check = $this->asRecorded($kit);
        $at = $this->rowOf($check, 'tape-microporous');
        $check['rows'][$at] = [...$check['rows'][$at], 'condition' => 'opened', 'opened_on' => now()->subDays(360)->toDateString()];
        $this->finish($check)->assertOk();
        $state = DB::table('kit_states')->where('code', 'QH-16')->first();
        $this->assertNotNull($state);
        $this->assertLessThanOrEqual(now()->addDays(5)->toDateString(), $state->holds_through, 'It is judged anew when the roll is old.');
    }

    public function test_a_note_waits_for_the_next_one_until_it_is_answered_once(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-01');
        $id = $this->ulid();
        $this->finish(['note' => 'The zip sticks.'] + $this->asRecorded($kit), $id)->assertOk();
        $note = ['check' => $id, 'kit' => 'QH-01', 'by' => $this->person('keeper')->name, 'text' => 'The zip sticks.'];
        $this->assertSame($note, array_intersect_key(collect($this->readKit('QH-01')['notes'])->firstWhere('check', $id), $note));
        $this->assertContains($id, array_column($this->getJson('/api/notes')->json('notes'), 'check'));
        // Another check does not answer it.
        $this->finish($this->asRecorded($this->readKit('QH-01')))->assertOk();
        $this->assertContains($id, array_column($this->readKit('QH-01')['notes'], 'check'));
        $this->actAs('lead');
        $this->putJson("/api/checks/{$id}/answer", ['answer' => ''])->assertJsonValidationErrors(['answer']);
        $left = $this->putJson("/api/checks/{$id}/answer", ['answer' => 'Waxed'])->assertOk()->json('notes');
        $this->assertNotContains($id, array_column($left, 'check'));
        $this->putJson("/api/checks/{$id}/answer", ['answer' => 'Waxed'])->assertOk();
        $this->putJson("/api/checks/{$id}/answer", ['answer' => 'New zip'])->assertConflict();
        $this->assertNotContains($id, array_column($this->readKit('QH-01')['notes'], 'check'));
        $this->assertSame('Waxed', DB::table('check_notes')->join('operations', 'number', '=', 'operation_number')->where('id', $id)->value('answer'));
        $this->putJson("/api/checks/{$this->ulid()}/answer", ['answer' => 'Seen'])->assertNotFound();
    }

    public function test_another_name_is_signed_only_with_a_reason_and_both_are_recorded(): void
    {
        $check = $this->asRecorded($this->actAs('keeper')->readKit('QH-01'));
        $own = $this->person('keeper')->name;
        $told = $this->finish(['signed' => 'Somebody Else'] + $check)->assertJsonValidationErrors(['signed_because']);
        $this->assertStringContainsString($own, $told->json('errors.signed_because.0'));
        $id = $this->ulid();
        $this->finish(['signed' => 'Somebody Else', 'signed_because' => 'Their device is flat'] + $check, $id)->assertOk();
        $this->getJson("/api/checks/{$id}")->assertJson(['signed' => 'Somebody Else', 'signed_because' => 'Their device is flat', 'by' => $own]);
        $this->assertSame(['Somebody Else', $own], [$this->readKit('QH-01')['last_check']['signed'], $this->readKit('QH-01')['last_check']['by']]);
        $this->assertSame([], app(Verify::class)()->faults, 'The reason is in what the hash covers.');
        $initials = implode('', array_map(static fn (string $part): string => $part[0], explode(' ', $own)));
        $this->finish(['signed' => $initials, 'base' => $this->readKit('QH-01')['base']] + $check)->assertOk();
    }

    /** @return iterable<string, array{string, string, bool}> */
    public static function names(): iterable
    {
        yield 'the name' => ['Mina Oduya', 'mina  oduya', true];
        yield 'initials' => ['Mina Oduya', 'M. O.', true];
        yield 'three parts' => ['Ana-Lucia Bo', 'ALB', true];
        yield 'a part of it' => ['Mina Oduya', 'Mina', false];
        yield 'another' => ['Mina Oduya', 'OM', false];
        yield 'nothing' => ['Mina Oduya', '', false];
    }

    #[DataProvider('names')]
    public function test_what_counts_as_the_own_name(string $name, string $signed, bool $isOwn): void
    {
        $this->assertSame($isOwn, SignedName::isOf($name, $signed));
    }

    public function test_a_line_for_anyone_does_not_ask_who_is_posted(): void
    {
        $this->actAs('lead');
        $tampered = $this->listWithLine(['rank' => 'critical', 'need' => 'Tourniquet', 'anyone_may_use' => true]);
        $this->assertSame('ready', $tampered['state'], (string) json_encode($tampered['shown']));
        $words = $this->listWithLine(['rank' => 'critical', 'need' => 'Tourniquet', 'anyone_may_use' => 'sometimes']);
        $this->assertSame('refused', $words['state']);
        $this->assertStringContainsString('anyone_may_use', (string) json_encode($words['shown']));
    }

    public function test_what_may_never_stand_in_is_refused_in_a_list_at_its_path(): void
    {
        $this->actAs('lead');
        $refused = $this->listWithLine(['rank' => 'required', 'need' => 'Dressing', 'accepts' => [['class' => 'dressing'], ['item' => 'tape-repair']]]);
        $this->assertSame('refused', $refused['state'], (string) json_encode($refused['shown']));
        $this->assertStringContainsString('Repair tape', (string) json_encode($refused['shown']));
    }

    public function test_a_stand_in_that_may_never_be_one_is_refused(): void
    {
        $item = $this->actAs('lead')->getJson('/api/items/tape-microporous')->json();
        $this->assertSame([], $item['never_for']);
        $repair = $this->getJson('/api/items/tape-repair')->json('never_for');
        $this->assertContains('dressing', $repair);
        $made = $this->postJson('/api/items', [
            'code' => 'tape-new', 'name' => 'New tape', 'class' => 'tape', 'count_unit' => 'roll', 'dated' => false, 'sterile' => false, 'mass' => '12 g',
            'scope' => 'anyone', 'reserve' => false, 'purpose' => 'Holds dressings', 'caution' => null, 'superseded_by' => null, 'storage_min_c' => null,
            'storage_max_c' => null, 'opened_life' => null, 'opened_life_unit' => null, 'allergy' => null, 'measures' => [], 'packs' => [], 'needs' => [],
            'stand_ins' => ['tape-repair'],
        ]);
        $made->assertUnprocessable();
        $this->assertStringContainsString('Repair tape', (string) $made->getContent());
        $this->assertDatabaseMissing('items', ['code' => 'tape-new']);
    }

    public function test_a_medicine_does_not_come_in_without_saying_whether_it_is_kept_past_its_date(): void
    {
        $this->actAs('lead');
        $item = [
            'code' => 'gel-new', 'name' => 'Glucose gel', 'class' => 'food.glucose', 'count_unit' => 'each', 'dated' => true, 'sterile' => false, 'mass_g' => 30,
            'scope' => 'anyone', 'purpose' => 'Sugar to swallow',
        ];
        $send = fn (array $item): array => $this->bringIn((string) json_encode(['format' => 'sarcina.catalogue/1', 'items' => [$item]]));
        $silent = $send($item);
        $this->assertSame('refused', $silent['state'], (string) json_encode($silent['shown']));
        $this->assertStringContainsString('reserve', (string) json_encode($silent['shown']));
        $said = $send([...$item, 'reserve' => false]);
        $this->assertSame('ready', $said['state'], (string) json_encode($said['shown']));
    }

    public function test_a_line_by_class_shows_what_it_would_accept(): void
    {
        $accepted = $this->actAs('lead')->getJson('/api/choices/accepted?class=wash.eye')->assertOk()->json();
        $this->assertContains('eyewash-pod', array_column($accepted['items'] ?? $accepted, 'code'));
        $this->getJson('/api/choices/accepted?class=no.such')->assertOk();
    }

    public function test_whoever_stops_after_whatever_step_of_a_restock_leaves_the_kit_no_worse(): void
    {
        $this->actAs('keeper');
        $order = ['ready', 'ready_with_actions', 'no_requirement', 'limited', 'not_ready'];
        $walked = 0;
        foreach (array_map(static fn (int $at): string => sprintf('QH-%02d', $at), range(1, 17)) as $code) {
            $plan = $this->getJson("/api/kits/{$code}/restock")->assertOk()->json();
            $steps = collect([...array_map(static fn (array $row): array => ['out', $row], $plan['out']), ...array_map(static fn (array $row): array => ['in', $row], $plan['in'])])
                ->sortBy(static fn (array $step): int => $step[1]['step'])->values();
            $this->assertSame(range(1, max(1, count($steps))), $steps->map(static fn (array $step): int => $step[1]['step'])->all() ?: [1]);
            $was = $this->readKit($code)['verdict']['verdict'];
            foreach ($steps as [$way, $row]) {
                foreach ($row['after'] ?? [] as $before) {
                    $this->assertLessThan($row['step'], $before);
                }
                $out = $way === 'out' ? [['pocket_id' => $row['pocket_id'], 'lot_id' => $row['lot_id'], 'condition' => $row['condition'], 'opened_on' => $row['opened_on'], 'quantity' => $row['quantity'], 'to' => $row['to']]] : [];
                $in = $way === 'in' ? [['pocket_id' => $row['pocket_id'] ?? $this->readKit($code)['leaves'][0]['pockets'][0]['id'], 'lot_id' => $row['lot_id'], 'quantity' => $row['quantity']]] : [];
                $this->putJson("/api/kits/{$code}/restocks/{$this->ulid()}", [
                    'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $this->readKit($code)['base'], 'out' => $out, 'in' => $in,
                    'seal_reason' => 'Restocked',
                ])->assertOk();
                $this->app?->forgetScopedInstances();
                $now = $this->readKit($code)['verdict']['verdict'];
                $this->assertLessThanOrEqual(array_search($was, $order, true), array_search($now, $order, true), "{$code}, step {$row['step']}");
                $was = $now;
                $walked++;
            }
        }
        $this->assertGreaterThan(10, $walked);
    }

    public function test_an_edition_without_a_critical_line_is_confirmed_only_with_the_reason(): void
    {
        $list = collect($this->actAs('lead')->getJson('/api/lists')->json('lists'))->firstWhere('confirmed', false);
        $lines = $this->getJson("/api/lists/{$list['id']}")->json('lines');
        DB::table('lines')->where('list_id', $list['id'])->update(['rank' => 'required']);
        foreach ($lines as $line) {
            $this->putJson("/api/lists/{$list['id']}/confirmations/{$line['code']}", ['outcome' => 'matches', 'figure' => null, 'note' => null])->assertOk();
        }
        $this->postJson("/api/lists/{$list['id']}/confirmation")->assertJsonValidationErrors(['no_critical_because']);
        $this->postJson("/api/lists/{$list['id']}/confirmation", ['no_critical_because' => ' '])->assertJsonValidationErrors(['no_critical_because']);
        $this->assertFalse($this->getJson("/api/lists/{$list['id']}")->json('confirmed'));
        $this->postJson("/api/lists/{$list['id']}/confirmation", ['no_critical_because' => 'Only comfort items'])
            ->assertOk()->assertJson(['confirmed' => true, 'no_critical_because' => 'Only comfort items']);
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_what_a_posting_would_do_to_which_kits_is_seen_before_it_is_done(): void
    {
        $this->actAs('lead');
        $states = fn (): array => DB::table('kit_states')->orderBy('code')->get(['code', 'verdict', 'needs_version'])->map(fn ($row) => (array) $row)->all();
        $before = [$states(), DB::table('operations')->count(), DB::table('postings')->count()];
        $people = $this->getJson('/api/people')->json('people');
        $changed = [];
        foreach ($people as $person) {
            $ended = ['name' => $person['name'], 'ended_on' => now()->subDay()->toDateString(), 'postings' => $person['postings'], 'qualifications' => $person['qualifications']];
            $ended['postings'] = array_map(static fn (array $one): array => ['place_id' => $one['place_id'], 'shift' => $one['shift']], $ended['postings']);
            $ended['qualifications'] = array_map(static fn (array $one): array => ['scope' => $one['scope'], 'title' => $one['title'], 'expires_on' => $one['expires_on']], $ended['qualifications']);
            $foreseen = $this->putJson("/api/people/{$person['id']}", $ended, ['Foresee' => 'yes'])->assertOk()->json();
            $this->assertSame($foreseen['concerned'], $foreseen['judged']);
            foreach ($foreseen['changes'] as $change) {
                $changed[] = [$person['id'], $ended, $change];
            }
        }
        $this->assertSame($before, [$states(), DB::table('operations')->count(), DB::table('postings')->count()], 'Nothing was recorded.');
        $this->assertNotSame([], $changed, 'Somebody of the demo is needed where they are posted.');
        // Done, it is as it was foreseen.
        [$person, $ended, $change] = $changed[0];
        $this->putJson("/api/people/{$person}", $ended)->assertOk();
        $this->app?->forgetScopedInstances();
        $verdict = $this->readKit($change['kit'])['verdict'];
        $this->assertSame($change['then'], $change['shift'] === null ? $verdict['verdict'] : collect($verdict['shifts'])->firstWhere('shift', $change['shift'])['verdict']);
        $this->assertTrue($change['worse']);
        $this->putJson("/api/people/{$person}", ['name' => ''] + $ended, ['Foresee' => 'yes'])->assertUnprocessable()->assertJsonValidationErrors(['name']);
        $this->actAs('keeper')->putJson("/api/people/{$person}", $ended, ['Foresee' => 'yes'])->assertForbidden();
    }

    public function test_a_list_without_critical_and_required_lines_is_never_ready(): void
    {
        $this->changesRowsByHand();
        DB::statement("UPDATE `lines` SET `rank` = 'optional' WHERE list_id = (SELECT list_id FROM design_editions WHERE id = ?)", [$this->kit('QH-01')->design_edition_id]);
        DB::table('judging_version')->increment('version');
        $this->app?->forgetScopedInstances();
        $kit = $this->actAs('keeper')->readKit('QH-01');
        $this->assertSame('no_requirement', $kit['verdict']['verdict']);
        $this->assertStringStartsWith('No requirement set', $kit['verdict']['sentence']);
        $this->finish($this->asRecorded($kit))->assertOk()->assertJson(['verdict' => 'no_requirement']);
        $row = collect($this->getJson('/api/today')->json('work'))->firstWhere('kit', 'QH-01');
        $this->assertSame(['no_requirement', 'later'], [$row['verdict'], $row['band']]);
    }

    /**
     * @param  array<string, mixed>  $line
     * @return array<string, mixed> the preview of a new edition with that line alone
     */
    private function listWithLine(array $line): array
    {
        $file = json_decode((string) $this->get('/api/exports/lists')->getContent(), true);
        $list = collect($file['lists'])->firstWhere('code', 'bleeding-set');
        $list = [...$list, 'edition' => '2031', 'confirmed' => false, 'lines' => [[...$list['lines'][0], ...$line]]];

        return $this->postJson('/api/imports', [
            'id' => $this->ulid(), 'kind' => 'lists', 'format' => 'json', 'file_name' => 'try.json', 'source' => (string) json_encode([...$file, 'lists' => [$list]]),
        ])->assertCreated()->json();
    }

    /** @return array<string, mixed> */
    private function bringIn(string $file): array
    {
        return $this->postJson('/api/imports', [
            'id' => $this->ulid(), 'kind' => 'catalogue', 'format' => 'json', 'file_name' => 'try.json', 'source' => $file,
        ])->assertCreated()->json();
    }
}
