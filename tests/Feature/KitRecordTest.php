<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Kits as a lead keeps them: renamed, given another code, moved, ended, and twenty made at once. */
final class KitRecordTest extends TestCase
{
    public function test_another_policy_is_the_next_edition_and_kits_keep_theirs_until_they_adopt_it(): void
    {
        $design = fn (): array => collect($this->actAs('lead')->getJson('/api/designs')->json())->firstWhere('code', 'laboratory');
        $was = $design();
        $body = [
            'edition' => $was['edition']['id'], ...array_diff_key($was['policy'], ['seasons' => 0]), 'sealed' => $was['sealed'],
            'every_unit' => 'weeks', 'every_count' => 2, 'margin_days' => 60,
        ];
        $before = $this->readKit('QH-06')['verdict']['verdict'];
        $this->actAs('keeper')->putJson("/api/designs/{$was['id']}/policy", $body)->assertForbidden();
        $this->actAs('lead')->putJson("/api/designs/{$was['id']}/policy", $body)->assertNoContent();
        $now = $design();
        $this->assertSame($was['edition']['number'] + 1, $now['edition']['number']);
        $this->assertSame([2, 'weeks', 60], [$now['policy']['every_count'], $now['policy']['every_unit'], $now['policy']['margin_days']]);
        $this->assertSame($was['policy']['seasons'], $now['policy']['seasons']);
        $this->assertSame($was['leaves'], $now['leaves'], 'nothing else changes');
        $this->assertContains('QH-06', $now['behind']);
        $this->assertSame($before, $this->readKit('QH-06')['verdict']['verdict']);
        $this->putJson("/api/designs/{$was['id']}/policy", $body)->assertConflict();
        $this->putJson("/api/designs/{$was['id']}/policy", ['edition' => $now['edition']['id']] + $body)->assertNoContent();
        $this->assertSame($now['edition']['number'], $design()['edition']['number'], 'the same again is no edition');
        $this->putJson("/api/designs/{$was['id']}/policy", [
            'edition' => $now['edition']['id'], 'every_unit' => null, 'every_count' => null, 'before_events' => false,
        ] + $body)->assertUnprocessable()->assertJsonPath('errors.every_unit.0', fn (string $why): bool => str_contains($why, 'never be checked'));
        $this->postJson('/api/kits/QH-06/adoption', ['edition' => $now['edition']['id']])->assertOk();
        $this->assertSame([], array_intersect(['QH-06'], $design()['behind']));
    }

    public function test_a_kit_is_changed_to_another_design_and_what_lies_in_it_finds_its_pocket(): void
    {
        $edition = DB::table('design_editions')->join('designs', 'designs.id', '=', 'design_id')->where('designs.code', 'laboratory')
            ->whereNotNull('published_at')->orderByDesc('number')->value('design_editions.id');
        $before = $this->actAs('lead')->readKit('QH-01');
        $told = $this->getJson("/api/kits/QH-01/adoption?edition={$edition}")->assertOk()->json();
        $this->assertSame('Laboratory box', $told['other_design']);
        $this->assertNotEmpty($told['effect']['added'], 'a laboratory asks for more than a workplace');
        $this->actAs('keeper')->postJson('/api/kits/QH-01/adoption', ['edition' => $edition])->assertForbidden();
        $after = $this->actAs('lead')->postJson('/api/kits/QH-01/adoption', ['edition' => $edition])->assertOk()->json();
        $this->assertSame('laboratory', $after['design']);
        $this->assertSame($told['effect']['then'], $after['verdict']['verdict']);
        $pieces = static fn (array $kit): array => collect($kit['contents'])->groupBy(static fn (array $row): string => "{$row['item']} {$row['lot']}")
            ->map(static fn ($rows): int => (int) $rows->sum('quantity'))->sortKeys()->all();
        $this->assertSame($pieces($before), $pieces($after), 'no piece is lost or made');
        $pockets = collect($after['leaves'])->flatMap(static fn (array $leaf): array => array_column($leaf['pockets'], 'id'))->all();
        $this->assertSame([], array_diff(array_column($after['contents'], 'pocket_id'), $pockets));
        foreach ($after['contents'] as $row) {
            $line = collect($after['verdict']['lines'])->firstWhere('code', $row['line']);
            $this->assertTrue($line === null || $line['pocket_id'] === $row['pocket_id'], "{$row['name']} lies beside its line");
        }
        $entry = json_encode($this->getJson('/api/kits/QH-01/history')->json('entries.0'), JSON_THROW_ON_ERROR);
        $this->assertMatchesRegularExpression('/Laboratory box[^"]* instead of Workplace box, medium/', $entry);
        $this->assertSame([], app(\App\Ledger\Verification\Verify::class)()->faults);
    }

    public function test_a_kit_with_modules_and_a_module_keep_their_design(): void
    {
        $edition = DB::table('design_editions')->join('designs', 'designs.id', '=', 'design_id')->where('designs.code', 'laboratory')
            ->whereNotNull('published_at')->value('design_editions.id');
        $module = DB::table('kits')->whereNotNull('kits.parent_kit_id')->join('kits as wholes', 'wholes.id', '=', 'kits.parent_kit_id')
            ->first(['kits.code', 'wholes.code as whole']);
        $this->actAs('lead')->postJson("/api/kits/{$module->whole}/adoption", ['edition' => $edition])->assertUnprocessable()
            ->assertJsonPath('errors.edition.0', fn (string $why): bool => str_starts_with($why, "Remove the modules of {$module->whole} first"));
        $this->postJson("/api/kits/{$module->code}/adoption", ['edition' => $edition])->assertUnprocessable()
            ->assertJsonPath('errors.edition.0', "{$module->code} is a module in {$module->whole}. Remove it there first.");
    }

    public function test_a_kit_is_renamed_moved_and_given_another_code_and_its_old_label_leads_to_it(): void
    {
        $kit = $this->actAs('lead')->readKit('QH-06');
        $to = DB::table('places')->where('name', 'Arid house')->value('id');
        $change = ['code' => 'QH-61', 'name' => 'Bench box', 'place_id' => $to, 'scope' => 'first_aider'];
        $this->putJson('/api/kits/QH-06', $change)->assertOk()->assertJson(['code' => 'QH-61', 'name' => 'Bench box', 'place' => ['path' => 'Glasshouses, Arid house']]);
        $this->getJson('/api/kits/QH-06')->assertOk()->assertJson(['id' => $kit['id'], 'code' => 'QH-61']);
        $this->assertSame('/kits/QH-61', $this->getJson('/api/find?q=QH-06')->json('found.0.href'));
        // A check that was begun under the old label is still taken.
        $this->finish($this->asRecorded(['code' => 'QH-06'] + $this->readKit('QH-61')))->assertOk();
        $titles = array_column($this->getJson('/api/kits/QH-61/history')->json('entries'), 'title');
        $this->assertSame(['Full check', 'Moved', 'Changed'], array_slice($titles, 0, 3));
        $this->artisan('ledger:verify')->assertSuccessful();

        // Nobody else gets the old code; the kit itself may have it back.
        $this->putJson('/api/kits/QH-05', ['code' => 'QH-06', 'name' => 'X', 'place_id' => $to, 'scope' => 'first_aider'])->assertUnprocessable()
            ->assertJsonPath('errors.code.0', 'QH-61 had this code before: an old label would lead to the wrong kit. Choose one that no kit had.');
        $this->putJson('/api/kits/QH-05', ['code' => 'QH-01', 'name' => 'X', 'place_id' => $to, 'scope' => 'first_aider'])->assertUnprocessable()
            ->assertJsonPath('errors.code.0', 'Another kit has this code. Choose one that is free.');
        $this->putJson('/api/kits/QH-61', ['code' => 'QH-06'] + $change)->assertOk()->assertJsonPath('code', 'QH-06');
        $this->assertSame('QH-06', $this->getJson('/api/kits/QH-61')->json('code'));
    }

    public function test_twenty_kits_are_made_at_once_with_codes_that_follow_all_or_none(): void
    {
        $this->actAs('lead');
        $codes = $this->getJson('/api/choices/codes?count=20')->assertOk()->json();
        $this->assertSame(['QH-19', 'QH-38'], [$codes[0], $codes[19]]);
        $this->assertSame(['QH-G9'], $this->getJson('/api/choices/codes?like=QH-G2')->json());
        $place = DB::table('places')->where('name', 'Arid house')->value('id');
        $design = DB::table('designs')->where('code', 'walk-pouch')->value('id');
        $body = ['design_id' => $design, 'scope' => 'first_aider', 'kits' => array_map(fn (string $code): array => [
            'id' => $this->ulid(), 'code' => $code, 'name' => "Pouch {$code}", 'place_id' => $place,
        ], $codes)];
        $wrong = $body;
        $wrong['kits'][7]['code'] = 'QH-01';
        $this->postJson('/api/kits/several', $wrong)->assertUnprocessable()->assertJsonPath('errors', ['kits.7.code' => ['Another kit has this code. Choose one that is free.']]);
        $this->assertSame(0, DB::table('kits')->where('name', 'like', 'Pouch QH%')->count(), 'None is made.');
        foreach ([1, 2] as $time) {
            $this->assertSame($codes, $this->postJson('/api/kits/several', $body)->assertCreated()->json());
            $this->assertSame(20, DB::table('kits')->where('name', 'like', 'Pouch QH%')->count(), "Sent {$time} times.");
        }
        $this->assertSame('not_ready', $this->readKit('QH-19')['verdict']['verdict'], 'An empty bag is not ready.');
        $body['kits'][] = ['id' => $this->ulid(), 'code' => 'QH-99', 'name' => 'One more', 'place_id' => $place];
        $this->postJson('/api/kits/several', $body)->assertUnprocessable()->assertJsonPath('errors.kits.0', 'At most 20 kits at once.');
    }

    public function test_a_kit_is_taken_out_of_service_with_a_reason_and_its_pieces_go_to_the_store(): void
    {
        $this->actAs('lead')->putJson('/api/kits/QH-15/retirement', ['reason' => ''])->assertUnprocessable();
        $this->putJson('/api/kits/QH-15/retirement', ['reason' => 'The pouch tore'])->assertOk()->assertJsonPath('retired_on', now()->setTimezone('Europe/London')->toDateString());
        $this->assertSame(0, DB::table('holdings')->where('kit_id', $this->kit('QH-15')->id)->count());
        $this->assertNotContains('QH-15', array_column($this->getJson('/api/kits?q=pouch')->json('kits'), 'code'));
        $this->putJson('/api/kits/QH-15/retirement', ['reason' => 'Again'])->assertUnprocessable();
        $this->artisan('ledger:verify')->assertSuccessful();
    }
}
