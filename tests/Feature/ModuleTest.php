<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\Organisation;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** A module is a kit of its own in another one: judged by itself too, sealed and checked as one, moved with all that is in it. */
final class ModuleTest extends TestCase
{
    public function test_a_kit_shows_its_module_and_is_judged_with_it(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-17');
        $this->assertSame([['QH-M1', 'Eye roll', 'intact', null]], array_map(
            static fn (array $module): array => [$module['code'], $module['slot'], $module['seal']['state'], $module['seal']['number']],
            $kit['modules'],
        ));
        $this->assertContains('QH-M1 Eye roll', array_column($kit['leaves'], 'name'));
        $bottles = collect($kit['verdict']['lines'])->firstWhere('code', 'QH-M1.L1');
        $this->assertSame(['Eyewash bottles', '2', '2'], [$bottles['need'], $bottles['required'], $bottles['effective']]);
        $this->assertStringStartsWith("{$kit['modules'][0]['id']}.", $bottles['pocket_id']);
        $alone = $this->readKit('QH-M1');
        $this->assertSame(['QH-17', 'ready'], [$alone['module_of']['code'], $alone['verdict']['verdict']]);
        $places = collect($this->getJson('/api/kits')->json('kits'))->pluck('code');
        $this->assertFalse($places->contains('QH-M1'), 'It stands in the kit that it is in.');
        $this->assertSame(0, DB::table('kit_states')->where('kit_id', $this->kit('QH-M1')->id)->count());
    }

    public function test_what_a_module_lacks_is_not_filled_by_the_bag(): void
    {
        // The bag gets gloves of its own, more than it asks for; the module loses its own.
        $module = $this->kit('QH-M1');
        $kit = $this->actAs('keeper')->readKit('QH-17');
        $check = $this->asRecorded($kit);
        $check['modules'] = [['code' => 'QH-M1', 'relied' => false, 'seal_set' => 'EY-1500']];
        $check['seal_reason'] = 'Planned full check';
        foreach ($check['rows'] as $index => $row) {
            if (str_starts_with($row['pocket_id'], "{$module->id}.") && $row['item'] === 'gloves-nitrile-small') {
                $check['rows'][$index]['quantity'] = 0;
            } elseif ($row['item'] === 'gloves-nitrile-small') {
                $check['rows'][$index]['quantity'] = 9;
            }
        }
        $this->finish($check)->assertOk();
        $this->app?->forgetScopedInstances();
        $after = $this->readKit('QH-17');
        $gloves = collect($after['verdict']['lines'])->firstWhere('code', 'QH-M1.L4');
        $this->assertSame(['0', '2'], [$gloves['effective'], $gloves['short']]);
        $this->assertSame('limited', $after['verdict']['verdict']);
        $reason = collect($after['verdict']['reasons'])->firstWhere('line', 'QH-M1.L4');
        $this->assertSame('Gloves: 0 of 2 in QH-M1 Eye roll by itself', $reason['text']);
        $this->assertStringStartsWith('Put in 2 ×', $reason['todo']);
        $put = collect($this->getJson('/api/kits/QH-17/restock')->json('in'))->firstWhere('line', 'QH-M1.L4');
        $this->assertStringStartsWith("{$module->id}.", $put['pocket_id']);
        $this->assertSame(['EY-1500', 'limited'], [$this->kit('QH-M1')->seal_number, $this->readKit('QH-M1')['verdict']['verdict']]);
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_check_that_relies_on_a_modules_seal_is_no_check_of_the_module(): void
    {
        $before = $this->kit('QH-M1')->last_full_on;
        $kit = $this->actAs('keeper')->readKit('QH-17');
        $check = $this->asRecorded($kit);
        $this->finish($check)->assertUnprocessable()->assertJsonValidationErrors(['seal_reason']);
        $this->finish([...$check, 'modules' => [['code' => 'QH-99', 'relied' => true, 'seal_found' => 'EY-1407']]])->assertJsonValidationErrors(['modules.0.code']);
        $own = array_values(array_filter($check['rows'], static fn (array $row): bool => ! str_contains($row['pocket_id'], '.')));
        $other = $this->finish([...$check, 'rows' => $own, 'modules' => [['code' => 'QH-M1', 'relied' => true, 'seal_found' => 'EY-1408']]]);
        $this->assertStringNotContainsString('EY-1407', (string) $other->assertJsonValidationErrors(['modules.0.seal_found'])->getContent());
        $this->finish([...$check, 'rows' => $own, 'modules' => [['code' => 'QH-M1', 'relied' => true]]])->assertJsonValidationErrors(['modules.0.seal_found']);
        $this->finish([...$check, 'rows' => $own, 'modules' => [['code' => 'QH-M1', 'relied' => true, 'seal_found' => 'EY-1407']]])->assertOk();
        $module = $this->kit('QH-M1');
        $this->assertSame([$before, 'intact', 'EY-1407'], [$module->last_full_on, $module->seal->value, $module->seal_number]);
        $this->assertSame($this->today(), $this->kit('QH-17')->last_full_on);
        $this->assertSame(9, (int) DB::table('holdings')->where('kit_id', $module->id)->sum('quantity') - 3, 'What is in it was not touched.');
        $this->assertSame([], app(Verify::class)()->faults);
        // Opened, it is checked with the kit.
        $this->app?->forgetScopedInstances();
        $this->finish([...$this->asRecorded($this->readKit('QH-17')), 'seal_reason' => 'Season begins'])->assertOk();
        $module = $this->kit('QH-M1');
        $this->assertSame([$this->today(), 'none'], [$module->last_full_on, $module->seal->value]);
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_check_that_relied_on_a_seal_which_is_broken_by_now_is_not_dropped(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-17');
        $own = array_values(array_filter($this->asRecorded($kit)['rows'], static fn (array $row): bool => ! str_contains($row['pocket_id'], '.')));
        $check = [...$this->asRecorded($kit), 'rows' => $own, 'modules' => [['code' => 'QH-M1', 'relied' => true, 'seal_found' => 'EY-1407']], 'done_at' => now()->toIso8601ZuluString()];
        $this->travel(5)->minutes();
        $this->putJson("/api/kits/QH-M1/seals/{$this->ulid()}", [
            'event' => 'broken', 'reason' => 'A pod was needed', 'begun_at' => now()->toIso8601ZuluString(), 'base' => $this->readKit('QH-M1')['base'],
        ])->assertOk();
        $this->travel(5)->minutes();
        $this->app?->forgetScopedInstances();
        $this->finish($check)->assertOk()->assertJsonPath('standing', 'stands');
        $module = $this->kit('QH-M1');
        $this->assertSame(['broken', 'A pod was needed'], [$module->seal->value, $module->seal_broken_reason]);
        $this->assertNotSame($this->today(), $module->last_full_on);
        $this->assertSame([], app(Verify::class)()->faults);
        $this->finish([...$this->asRecorded($this->readKit('QH-17')), 'rows' => $own, 'modules' => [['code' => 'QH-M1', 'relied' => true, 'seal_found' => 'EY-1407']]])
            ->assertJsonValidationErrors(['modules.0.relied']);
    }

    public function test_a_kit_that_was_checked_answers_alike_after_it_was_retired(): void
    {
        $id = $this->ulid();
        $check = [...$this->asRecorded($this->actAs('keeper')->readKit('QH-17')), 'seal_reason' => 'Planned full check'];
        $answer = $this->finish($check, $id)->assertOk()->json();
        app(\App\Kits\RetireKit::class)($this->kit('QH-17'), 'worn out', [], $this->person('lead'), now()->addMinute(), $this->today());
        $this->app?->forgetScopedInstances();
        $this->assertSame($answer, $this->finish($check, $id)->assertOk()->json());
    }

    public function test_a_module_is_checked_by_itself_and_the_kit_is_judged_again(): void
    {
        $alone = $this->actAs('keeper')->readKit('QH-M1');
        $check = [...$this->asRecorded($alone), 'seal_reason' => 'One bottle was taken'];
        foreach ($check['rows'] as $index => $row) {
            $check['rows'][$index]['quantity'] = $row['item'] === 'eyewash-bottle' && $row['lot'] === 'R8113' ? 0 : $row['quantity'];
        }
        $this->finish($check)->assertOk()->assertJsonPath('verdict', 'not_ready');
        $this->assertSame('not_ready', DB::table('kit_states')->where('kit_id', $this->kit('QH-17')->id)->value('verdict'));
        $this->assertSame(0, DB::table('kit_states')->where('is_marked', true)->count());
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_module_moves_between_kits_with_its_contents_seal_and_history(): void
    {
        $pieces = fn (): int => (int) DB::table('holdings')->where('kit_id', $this->kit('QH-M1')->id)->sum('quantity');
        $held = $pieces();
        $this->actAs('keeper')->deleteJson('/api/kits/QH-17/modules/QH-M1')->assertOk();
        $this->deleteJson('/api/kits/QH-17/modules/QH-M1')->assertOk();
        $this->deleteJson('/api/kits/QH-17/modules/QH-05')->assertOk();
        $this->deleteJson('/api/kits/QH-17/modules/QH-77')->assertUnprocessable();
        $this->app?->forgetScopedInstances();
        $kit = $this->readKit('QH-17');
        $this->assertSame([[null, 'Eye roll']], array_map(static fn (array $one): array => [$one['code'], $one['slot']], $kit['modules']));
        $this->assertSame('not_ready', $kit['verdict']['verdict'], 'Its slot asks for one, and two bottles of it are critical.');
        $this->assertStringContainsString('Eye roll, missing from its slot', implode(' ', array_column($kit['verdict']['reasons'], 'text')));
        $missing = collect($this->getJson('/api/kits/QH-17/restock')->json('missing'))->pluck('what')->all();
        $this->assertContains('The module Eye roll, for its slot', $missing);
        $this->assertSame(['QH-M1'], array_column($this->getJson('/api/modules')->json(), 'code'));
        $this->assertSame('ready', DB::table('kit_states')->where('kit_id', $this->kit('QH-M1')->id)->value('verdict'), 'By itself it is a kit.');

        $this->postJson('/api/kits/QH-06/modules', ['module' => 'QH-M1'])->assertOk();
        $this->postJson('/api/kits/QH-06/modules', ['module' => 'QH-M1'])->assertOk();
        $this->postJson('/api/kits/QH-17/modules', ['module' => 'QH-M1'])->assertUnprocessable()->assertJsonValidationErrors(['module']);
        $this->postJson('/api/kits/QH-06/modules', ['module' => 'QH-05'])->assertUnprocessable()->assertJsonValidationErrors(['module']);
        $this->app?->forgetScopedInstances();
        $this->assertNull($this->readKit('QH-06')['modules'][0]['slot'], 'Its design has no slot for it: it is carried beside.');
        $module = $this->kit('QH-M1');
        $this->assertSame([$held, 'EY-1407', $this->kit('QH-06')->place_id], [$pieces(), $module->seal_number, $module->place_id]);
        $this->assertSame(0, DB::table('kit_states')->where('kit_id', $module->id)->count());
        $titles = array_column($this->getJson('/api/kits/QH-M1/history')->json('entries'), 'title');
        $this->assertSame(['Module added', 'Module removed'], array_slice($titles, 0, 2));
        $this->assertContains('Full check', $titles);
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_sealed_kit_is_not_opened_for_a_module_without_saying_so(): void
    {
        $kit = $this->actAs('keeper')->readKit('QH-17');
        $seal = fn (array $what): array => [...$what, 'begun_at' => now()->toIso8601ZuluString(), 'base' => $this->readKit('QH-17')['base']];
        $this->putJson("/api/kits/QH-17/seals/{$this->ulid()}", $seal(['event' => 'set', 'seal_number' => 'SV-1']))->assertOk();
        $this->app?->forgetScopedInstances();
        $this->deleteJson('/api/kits/QH-17/modules/QH-M1')->assertUnprocessable()->assertJsonValidationErrors(['module']);
        $this->assertSame($this->kit('QH-17')->id, $this->kit('QH-M1')->parent_kit_id);
        $this->finish([...$this->asRecorded($this->readKit('QH-M1')), 'seal_reason' => 'Planned'])
            ->assertUnprocessable()->assertJsonValidationErrors(['seal_reason']);
        $this->assertSame('intact', $this->kit('QH-17')->seal->value);
        $this->putJson("/api/kits/QH-17/seals/{$this->ulid()}", $seal(['event' => 'broken', 'reason' => 'The eye roll goes elsewhere']))->assertOk();
        $this->app?->forgetScopedInstances();
        $this->deleteJson('/api/kits/QH-17/modules/QH-M1')->assertOk();
        $this->assertNull($this->kit('QH-M1')->parent_kit_id);
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_design_with_pouches_within_pockets_comes_back_from_both_formats(): void
    {
        $this->actAs('lead');
        $design = collect(json_decode((string) $this->get('/api/exports/designs')->getContent(), true)['designs'])->firstWhere('code', 'bleeding-set');
        $pocket = $design['leaves'][0]['pockets'][0];
        $last = array_pop($pocket['lines']);
        $pocket['inside'] = [[
            'name' => 'Inner pouch', 'row' => 1, 'column' => 1, 'kind' => 'pouch', 'closure' => 'zip', 'outside' => false, 'sealed' => true,
            'caution' => 'Sharp', 'properties' => ['sharps', 'waterproof'], 'lines' => [$last],
        ]];
        $design['leaves'][0]['pockets'][0] = $pocket;
        $import = $this->bringIn('designs', 'json', (string) json_encode(['format' => 'sarcina.designs/1', 'designs' => [$design]]));
        $this->assertSame('ready', $import['state'], (string) json_encode($import['shown']));
        $this->putJson("/api/imports/{$import['id']}/taking")->assertOk();
        $this->app?->forgetScopedInstances();
        foreach (['json', 'csv'] as $format) {
            $sent = (string) $this->get("/api/exports/designs?format={$format}")->getContent();
            $this->assertStringContainsString('Inner pouch', $sent);
            $shown = $this->bringIn('designs', $format, $sent)['shown'];
            $this->assertSame([], array_filter($shown, static fn (array $row): bool => $row['outcome'] !== 'same'), $format);
        }
        $change = $this->getJson('/api/kits/QH-08/adoption')->assertOk()->json('effect');
        $this->assertStringContainsString("to {$design['leaves'][0]['name']}, {$pocket['name']}, Inner pouch", implode(' ', $change['moved']));
        $edition = $this->getJson('/api/kits/QH-08/adoption')->json('to.id');
        $before = (int) DB::table('holdings')->where('kit_id', $this->kit('QH-08')->id)->sum('quantity');
        $seal = $this->readKit('QH-08')['seal'];
        if ($seal['state'] === 'intact') {
            $this->postJson('/api/kits/QH-08/adoption', ['edition' => $edition])->assertUnprocessable()->assertJsonValidationErrors(['edition']);
            $this->putJson("/api/kits/QH-08/seals/{$this->ulid()}", [
                'event' => 'broken', 'reason' => 'New edition', 'begun_at' => now()->toIso8601ZuluString(), 'base' => $this->readKit('QH-08')['base'],
            ])->assertOk();
        }
        $this->postJson('/api/kits/QH-08/adoption', ['edition' => $edition])->assertOk();
        $this->app?->forgetScopedInstances();
        $line = collect($this->readKit('QH-08')['verdict']['lines'])->firstWhere('code', $last);
        $this->assertSame(['met', 0], [$line['state'], $line['elsewhere']], 'What moved lies where its line lives.');
        $this->assertSame($before, (int) DB::table('holdings')->where('kit_id', $this->kit('QH-08')->id)->sum('quantity'));
        $moved = collect($this->getJson('/api/kits/QH-08/history')->json('entries'))->firstWhere('kind', 'change');
        $this->assertStringContainsString('instead of', $moved['notes'][0]);
        $this->assertNotSame([], $moved['movements']);
        $deep = $slot = $design;
        $deep['leaves'][0]['pockets'][0]['inside'][0]['inside'] = [['name' => 'Too deep', 'row' => 1, 'column' => 1]];
        $slot['leaves'][0]['pockets'][0]['kind'] = 'slot';
        foreach ([['lies too deep', $deep], ['a slot names the design of its module', $slot]] as [$why, $wrong]) {
            $refused = $this->bringIn('designs', 'json', (string) json_encode(['format' => 'sarcina.designs/1', 'designs' => [$wrong]]));
            $this->assertStringContainsString($why, implode(' ', $refused['shown'][0]['texts']));
        }
    }

    public function test_what_is_done_to_a_kit_is_done_to_its_modules(): void
    {
        $place = DB::table('places')->where('name', 'Meadow')->value('id') ?? DB::table('places')->value('id');
        app(\App\Kits\ChangeKit::class)->move(
            $this->kit('QH-17'), \App\Kits\Models\Place::query()->findOrFail($place), $this->person('lead'), now(), $this->today(),
        );
        $this->assertSame($place, $this->kit('QH-M1')->place_id);
        app(\App\Kits\RetireKit::class)($this->kit('QH-17'), 'worn out', [], $this->person('lead'), now(), $this->today());
        $this->assertSame($this->today(), $this->kit('QH-M1')->retired_on);
        $this->assertSame(0, DB::table('holdings')->where('kit_id', $this->kit('QH-M1')->id)->count());
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_change_that_concerns_only_the_module_marks_the_kit(): void
    {
        Queue::fake();
        app(KitStates::class)->mark([$this->kit('QH-M1')->id]);
        $this->assertSame(['QH-17'], DB::table('kit_states')->where('is_marked', true)->pluck('code')->all());
        $this->assertSame(0, app(KitStates::class)->judgeMarked($this->today(), 60.0));
        $this->assertSame(0, DB::table('kit_states')->where('is_marked', true)->count());
    }

    public function test_upgrading_one_kit_writes_nothing_that_others_share(): void
    {
        $shared = static fn (): array => array_map(
            static fn (string $table): int => DB::table($table)->count(),
            ['design_editions', 'compartments', 'placements', 'lines', 'designs'],
        );
        $site = \App\Assess\Models\Assessment::query()->orderBy('started_on', 'desc')->firstOrFail();
        $task = collect($this->actAs('lead')->postJson("/api/assessments/{$site->id}/tasks")->json('tasks'))->firstWhere('kit', 'QH-05');
        $before = $shared();
        $this->putJson("/api/tasks/{$task['id']}", ['state' => 'done'])->assertOk();
        $this->assertSame($before, $shared());
        $this->assertSame(1, Kit::query()->where('parent_kit_id', $this->kit('QH-05')->id)->count());
    }

    public function test_a_published_edition_is_never_changed(): void
    {
        foreach ([
            'design_editions' => ['empty_mass_g' => 1], 'compartments' => ['name' => 'Other'], 'placements' => ['quantity' => 3],
        ] as $table => $change) {
            foreach ([fn () => DB::table($table)->limit(1)->update($change), fn () => DB::table($table)->limit(1)->delete()] as $do) {
                try {
                    DB::transaction($do);
                    $this->fail("{$table} was changed.");
                } catch (\Illuminate\Database\QueryException $refused) {
                    $this->assertStringContainsString('A published edition of a design never changes', $refused->getMessage());
                }
            }
        }
    }

    public function test_a_configuration_switches_slots_and_lines_on_and_a_planned_line_waits_for_its_day(): void
    {
        $this->actAs('lead');
        $design = collect(json_decode((string) $this->get('/api/exports/designs')->getContent(), true)['designs'])->firstWhere('code', 'school-visits');
        $lines = $design['leaves'][0]['pockets'][0]['lines'];
        $design['leaves'][0]['pockets'][0]['lines'][0] = ['line' => $lines[0], 'quantity' => null, 'from' => now()->addDays(5)->toDateString()];
        $design['configurations'] = [['name' => 'Summer camp', 'lines' => [$lines[1]], 'slots' => ['Inside, Eye roll']]];
        foreach (['json', 'csv'] as $format) {
            $import = $this->bringIn('designs', 'json', (string) json_encode(['format' => 'sarcina.designs/1', 'designs' => [$design]]));
            $this->putJson("/api/imports/{$import['id']}/taking")->assertOk();
            $this->app?->forgetScopedInstances();
            $sent = (string) $this->get("/api/exports/designs?format={$format}")->getContent();
            $this->assertSame([], array_filter($this->bringIn('designs', $format, $sent)['shown'], static fn (array $row): bool => $row['outcome'] !== 'same'));
        }
        $edition = $this->getJson('/api/kits/QH-17')->json('later_edition.id');
        $change = $this->getJson('/api/kits/QH-17/adoption')->json('effect');
        $this->assertNotSame([], $change['removed'], 'What is no longer asked for.');
        $this->postJson('/api/kits/QH-17/adoption', ['edition' => $edition])->assertOk();
        $this->app?->forgetScopedInstances();
        $codes = fn (): array => array_column($this->readKit('QH-17')['verdict']['lines'], 'code');
        $this->assertNotContains($lines[0], $codes());
        $this->assertNotContains($lines[1], $codes());
        $state = DB::table('kit_states')->where('kit_id', $this->kit('QH-17')->id)->first();
        $this->assertLessThanOrEqual(now()->addDays(4)->toDateString(), $state?->holds_through, 'Its state ends before the line is asked for.');
        $this->travel(5)->days();
        $this->app?->forgetScopedInstances();
        $this->assertContains($lines[0], $codes());
        $this->assertSame([], app(Verify::class)()->faults);
    }

    private function today(): string
    {
        return app(Organisation::class)->today();
    }

    /** @return array<string, mixed> the preview, read to its end */
    private function bringIn(string $kind, string $format, string $file): array
    {
        return $this->postJson(
            '/api/imports',
            ['id' => $this->ulid(), 'kind' => $kind, 'format' => $format, 'file_name' => "try.{$format}", 'source' => $file],
        )->assertCreated()->json();
    }

    public function test_another_design_is_a_leads_and_moves_nothing_in_a_sealed_kit(): void
    {
        $other = $this->kit('QH-01')->design_edition_id;
        $this->actAs('keeper')->postJson('/api/kits/QH-17/adoption', ['edition' => $other])->assertForbidden();
        $this->postJson('/api/kits/QH-17/adoption', ['edition' => $this->kit('QH-17')->design_edition_id])->assertOk();
        $this->getJson('/api/kits/QH-17/adoption?edition='.$this->ulid())->assertUnprocessable();
        $this->assertSame('intact', $this->kit('QH-14')->seal->value);
        $this->actAs('lead')->postJson('/api/kits/QH-14/adoption', ['edition' => $other])->assertUnprocessable()
            ->assertJsonPath('errors.edition.0', fn (string $why): bool => str_contains($why, 'the seal of QH-14 is whole'));
    }
}
