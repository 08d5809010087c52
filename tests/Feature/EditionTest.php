<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Designs\Models\Design;
use App\Lists\Models\KitList;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Lists are confirmed line by line; a confirmed edition never changes, not even behind the interface's back. */
final class EditionTest extends TestCase
{
    private function edition(string $code, ?string $edition = null): KitList
    {
        return KitList::query()->where('code', $code)->when(
            $edition !== null,
            fn ($lists) => $lists->where('edition', $edition),
        )->orderBy('edition')->firstOrFail();
    }

    public function test_a_responsible_person_confirms_line_by_line_beside_their_own_copy(): void
    {
        $list = $this->edition('bs-8599-1/small', '2019');
        $this->actAs('lead');
        $read = $this->getJson("/api/lists/{$list->id}")->assertOk()->json();
        $this->assertFalse($read['confirmed']);
        foreach ($read['lines'] as $index => $line) {
            $this->postJson("/api/lists/{$list->id}/confirmation")->assertUnprocessable()->assertJsonValidationErrors(['lines']);
            $found = match ($index) {
                2 => ['outcome' => 'differs', 'figure' => '7', 'note' => 'Table 1'],
                8 => ['outcome' => 'absent', 'note' => 'Not in the table'],
                default => ['outcome' => 'matches'],
            };
            $this->putJson("/api/lists/{$list->id}/confirmations/{$line['code']}", $found)->assertOk();
        }
        $confirmed = $this->postJson("/api/lists/{$list->id}/confirmation")->assertOk()->json();
        $this->assertSame([true, 'Maren Oduya', $this->today()], [$confirmed['confirmed'], $confirmed['confirmed_by'], $confirmed['confirmed_on']]);
        $this->assertCount(count($read['lines']) - 1, $confirmed['lines']);
        $this->assertSame('7', $confirmed['lines'][2]['required'], 'The figure of their own copy.');
        $this->assertSame((string) $read['lines'][2]['required'], $confirmed['lines'][2]['confirmation']['asked'], 'And what the starter list had.');
        $this->assertSame('absent', $confirmed['absent'][0]['outcome']);
        // Kits that keep the list are held to the new figure, and nothing calls it unconfirmed any more.
        $this->app?->forgetScopedInstances();
        $kit = $this->readKit('QH-05');
        $this->assertTrue($kit['list']['confirmed']);
        $this->assertSame('7', (string) collect($kit['verdict']['lines'])->firstWhere('code', $read['lines'][2]['code'])['required']);
        $this->putJson("/api/lists/{$list->id}/confirmations/L1", ['outcome' => 'matches'])->assertUnprocessable();
        $this->postJson("/api/lists/{$list->id}/confirmation")->assertUnprocessable();
    }

    public function test_a_figure_must_be_one(): void
    {
        $pieces = $this->edition('bs-8599-1/small', '2019');
        $total = $this->edition('ansi-z308-1/class-a');
        $tape = $total->lines()->whereNotNull('total_quantity')->firstOrFail();
        $this->actAs('lead');
        foreach ([[$pieces->id, 'L1', ['outcome' => 'differs']], [
            $pieces->id, 'L1', ['outcome' => 'differs', 'figure' => 'six'],
        ], [$pieces->id, 'L1', ['outcome' => 'differs', 'figure' => '0']],
            [$total->id, $tape->code, ['outcome' => 'differs', 'figure' => '3']], [
                $total->id, $tape->code, ['outcome' => 'differs', 'figure' => '3 kg'],
            ], [
                $total->id, $tape->code, ['outcome' => 'differs', 'figure' => '0 yd'],
            ], [$pieces->id, 'L1', ['outcome' => 'perhaps']]] as [$list, $line, $found]) {
            $this->putJson("/api/lists/{$list}/confirmations/{$line}", $found)->assertUnprocessable();
        }
        $this->putJson("/api/lists/{$total->id}/confirmations/{$tape->code}", ['outcome' => 'differs', 'figure' => '5 yd'])->assertOk();
        $this->putJson("/api/lists/{$pieces->id}/confirmations/L99", ['outcome' => 'matches'])->assertNotFound();
    }

    public function test_a_list_of_which_no_line_is_in_the_copy_is_another_list(): void
    {
        $list = $this->edition('module-eye');
        $this->actAs('lead');
        foreach ($list->lines as $line) {
            $this->putJson("/api/lists/{$list->id}/confirmations/{$line->code}", ['outcome' => 'absent'])->assertOk();
        }
        $this->postJson("/api/lists/{$list->id}/confirmation")->assertUnprocessable();
    }

    /** @return iterable<string, array{string}> */
    public static function tampering(): iterable
    {
        $list = "(SELECT id FROM lists WHERE code = 'bleeding-set' AND edition = '1')";
        $line = "(SELECT id FROM `lines` WHERE list_id = {$list} ORDER BY position LIMIT 1)";
        $loose = "(SELECT id FROM `lines` WHERE list_id = (SELECT id FROM lists WHERE code = 'bleeding-set' AND edition = '2') ORDER BY position LIMIT 1)";
        yield 'its title' => ["UPDATE lists SET title = 'Other' WHERE id = {$list}"];
        yield 'its confirmation' => ['UPDATE lists SET confirmed_at = NULL WHERE code = "bleeding-set" AND edition = "1"'];
        yield 'the list itself' => ['DELETE FROM lists WHERE code = "bleeding-set" AND edition = "1"'];
        yield 'a quantity' => ["UPDATE `lines` SET quantity = 9 WHERE id = {$line}"];
        yield 'a line gone' => ["DELETE FROM `lines` WHERE id = {$line}"];
        yield 'a line more' => ["INSERT INTO `lines` (id, list_id, code, position, need, `rank`, quantity) VALUES ('01hzzzzzzzzzzzzzzzzzzzzzzz', {$list}, 'X1', 99, 'More', 'required', 1)"];
        yield 'a line brought over' => ["UPDATE `lines` SET list_id = {$list}, code = 'X9' WHERE id = {$loose}"];
        yield 'what a line accepts' => ["UPDATE line_entries SET position = 7 WHERE line_id = {$line}"];
        yield 'one thing more accepted' => ["INSERT INTO line_entries (line_id, position, class) VALUES ({$line}, 9, 'bandage')"];
        yield 'one thing less accepted' => ["DELETE FROM line_entries WHERE line_id = {$line}"];
        yield 'a least measure' => ["INSERT INTO line_entry_limits (line_entry_id, measure, quantity) VALUES ((SELECT id FROM line_entries WHERE line_id = {$line} LIMIT 1), 'width', '1 m')"];
        yield 'what it keeps out' => ["INSERT INTO list_exclusions (list_id, class) VALUES ({$list}, 'bandage')"];
        yield 'what was kept out' => ["DELETE FROM list_exclusions WHERE list_id = {$list}"];
        yield 'who compared it' => ["DELETE FROM line_confirmations WHERE list_id = {$list}"];
    }

    #[DataProvider('tampering')]
    public function test_the_database_refuses_to_change_a_confirmed_edition(string $sql): void
    {
        $before = $this->dump();
        try {
            // MariaDB reads a table that it changes from a copy.
            DB::statement((string) preg_replace_callback(
                '/\\(SELECT id FROM (lists|`lines`|line_entries) WHERE/',
                static fn (array $found): string => "(SELECT id FROM (SELECT * FROM {$found[1]}) AS copy WHERE",
                $sql,
            ));
            $this->fail('The database took it.');
        } catch (QueryException $refused) {
            $this->assertStringContainsString('A confirmed edition never changes', $refused->getMessage());
        }
        $this->assertSame($before, $this->dump());
    }

    private function dump(): string
    {
        $list = $this->edition('bleeding-set');

        return (string) json_encode([$list->load(['lines.entries.limits', 'exclusions', 'confirmations'])->toArray()]);
    }

    public function test_the_interface_refuses_too_and_says_what_to_do(): void
    {
        $list = $this->actAs('lead')->getJson('/api/lists/'.$this->edition('bleeding-set')->id)->json();
        $this->putJson("/api/lists/{$list['id']}", $this->written($list))->assertUnprocessable()->assertJsonPath(
            'errors.lines.0',
            'Edition 1 is confirmed and never changes. Make a new edition, and change that.',
        );
    }

    public function test_a_new_edition_says_what_moved_and_what_each_kit_would_lack(): void
    {
        $change = $this->actAs('member')->getJson('/api/lists/'.$this->edition('bleeding-set', '2')->id.'/change')->assertOk()->json();
        $this->assertSame(
            ['1', true, '2', false],
            [$change['from']['edition'], $change['from']['confirmed'], $change['to']['edition'], $change['to']['confirmed']],
        );
        $lines = collect($change['lines']);
        $this->assertSame(['1 before, now 2.'], $lines->firstWhere('need', 'Tourniquet')['texts']);
        $this->assertSame('added', $lines->firstWhere('need', 'Foil blanket')['kind']);
        $this->assertSame(4, $lines->where('kind', 'same')->count() + $lines->where('kind', 'dropped')->count() - 1);
        $kits = collect($change['designs'][0]['kits'])->keyBy('kit');
        $this->assertSame('not_ready', $kits['QH-08']['then'], 'The second tourniquet is critical.');
        $this->assertContains('Foil blanket: 0 of 1, to add 1 × Foil blanket', $kits['QH-08']['added']);
        $this->assertContains('Tourniquet: 1 of 2, to add 1 × Windlass tourniquet', $kits['QH-08']['added']);
        $this->assertSame([['code' => 'L7', 'need' => 'Foil blanket']], $change['designs'][0]['homeless']);
        $this->getJson('/api/lists/'.$this->edition('module-eye')->id.'/change')->assertUnprocessable();
    }

    public function test_a_design_adopts_the_new_edition_and_its_kits_follow_one_by_one(): void
    {
        $edition = $this->edition('bleeding-set', '2');
        $design = Design::query()->where('code', 'bleeding-set')->firstOrFail();
        $this->actAs('lead')->postJson(
            "/api/lists/{$edition->id}/adoption",
            ['design' => $design->id],
        )->assertUnprocessable()->assertJsonValidationErrors(['pockets.L7']);
        $pocket = DB::table('compartments')->where('design_edition_id', $design->latest?->id)->where('kind', 'pocket')->value('pocket_id');
        $this->postJson(
            "/api/lists/{$edition->id}/adoption",
            ['design' => $design->id, 'pockets' => [['line' => 'L7', 'pocket_id' => $pocket]]],
        )->assertOk();
        $this->app?->forgetScopedInstances();
        $kit = $this->readKit('QH-08');
        $this->assertSame(['1', 1, 2], [$kit['list']['edition'], $kit['edition']['number'], $kit['later_edition']['number']], 'It follows when somebody does it.');
        $this->assertSame(['QH-08', 'QH-09'], array_column($this->getJson("/api/lists/{$edition->id}/change")->json('to_follow'), 'code'));
        foreach (['QH-08', 'QH-09'] as $code) {
            $this->postJson("/api/kits/{$code}/adoption", ['edition' => $kit['later_edition']['id']])->assertOk();
            $this->app?->forgetScopedInstances();
        }
        $kit = $this->readKit('QH-08');
        $this->assertSame(['2', 'not_ready'], [$kit['list']['edition'], $kit['verdict']['verdict']]);
        $line = collect($kit['verdict']['lines'])->firstWhere('code', 'L7');
        $this->assertSame($pocket, $line['pocket_id']);
        $this->assertSame(7, count($kit['verdict']['lines']));
        $this->assertMatchesRegularExpression(
            '/, edition 2 instead of .*, edition 1/',
            collect($this->getJson('/api/kits/QH-08/history')->json('entries'))->firstWhere('kind', 'change')['notes'][0],
        );
        $this->postJson(
            "/api/lists/{$edition->id}/adoption",
            ['design' => $design->id],
        )->assertUnprocessable()->assertJsonValidationErrors(['design']);
        // The Today list does not show the old answer.
        $this->assertSame(
            'not_ready',
            collect($this->getJson('/api/kits')->json('kits'))->firstWhere('code', 'QH-09')['verdict'],
        );
    }

    public function test_a_line_that_is_added_to_a_list_in_use_lives_beside_the_line_before_it(): void
    {
        $list = $this->actAs('lead')->getJson('/api/lists/'.$this->edition('tree-crew')->id)->json();
        $written = $this->written($list);
        array_splice(
            $written['lines'],
            1,
            0,
            [['code' => 'N1', 'need' => 'Sick bag', 'rank' => 'required', 'quantity' => 1, 'accepts' => [['item' => 'vomit-bag']]]],
        );
        $this->putJson("/api/lists/{$list['id']}", $written)->assertOk();
        $this->app?->forgetScopedInstances();
        $lines = collect($this->readKit('QH-07')['verdict']['lines'])->keyBy('code');
        $this->assertSame($lines[$list['lines'][0]['code']]['pocket_id'], $lines['N1']['pocket_id']);
        $put = collect($this->getJson('/api/kits/QH-07/restock')->json('in'))->firstWhere('line', 'N1');
        $this->assertNotNull($put === null ? $lines['N1']['pocket_id'] : $put['pocket_id']);
    }

    public function test_a_list_that_does_not_go_together_with_what_a_design_adds_is_refused(): void
    {
        $list = $this->actAs('lead')->getJson('/api/lists/'.$this->edition('bs-8599-1/medium')->id)->json();
        $design = Design::query()->where('code', 'glasshouse')->firstOrFail();
        $added = $design->latest?->additions()->whereHas('entries', fn ($entries) => $entries->whereNotNull('item_id'))->firstOrFail() ?? $this->fail('It adds nothing.');
        $item = $added->entries()->whereNotNull('item_id')->firstOrFail()->item;
        $item?->measures()->firstOrCreate(['measure' => 'length'], ['quantity' => '5 cm']);
        $written = $this->written($list);
        $written['lines'][] = [
            'code' => 'N1', 'need' => 'So much in all', 'rank' => 'required', 'total_measure' => 'length',
            'total_quantity' => '1 m', 'accepts' => [['item' => $item?->code]],
        ];
        $this->app?->forgetScopedInstances();
        $this->putJson("/api/lists/{$list['id']}", $written)->assertUnprocessable()->assertJsonPath('title', 'Not accepted as entered');
        $this->app?->forgetScopedInstances();
        $this->assertCount(16, $this->getJson("/api/lists/{$list['id']}")->json('lines'));
        $this->readKit('QH-03');
    }

    public function test_a_module_in_a_kit_adopts_its_new_edition_and_keeps_its_pouch(): void
    {
        $this->actAs('lead');
        $site = \App\Assess\Models\Assessment::query()->orderBy('started_on', 'desc')->firstOrFail();
        $task = collect($this->postJson("/api/assessments/{$site->id}/tasks")->json('tasks'))->firstWhere('kit', 'QH-05');
        $this->putJson("/api/tasks/{$task['id']}", ['state' => 'done'])->assertOk();
        $new = $this->postJson('/api/lists/'.$this->edition('module-sharps')->id.'/editions', ['edition' => '2'])->json();
        $written = $this->written($new);
        $written['lines'][1]['quantity'] = 2;
        $written['lines'][] = ['code' => 'N1', 'need' => 'Sick bag', 'rank' => 'required', 'quantity' => 1, 'accepts' => [['item' => 'vomit-bag']]];
        $this->putJson("/api/lists/{$new['id']}", $written)->assertOk();
        $this->app?->forgetScopedInstances();
        $change = $this->getJson("/api/lists/{$new['id']}/change")->assertOk()->json();
        $module = collect($this->readKit('QH-05')['modules'])->firstOrFail();
        $this->assertSame([$module['code']], array_column($change['designs'][0]['kits'], 'kit'));
        $this->assertStringEndsWith(', in QH-05', $change['designs'][0]['kits'][0]['name']);
        $this->assertSame([], $change['designs'][0]['homeless'], 'They live in the pouch of the module.');
        $this->assertStringContainsString('Sick bag: 0 of 1', implode(' ', $change['designs'][0]['kits'][0]['added']));
        $pouch = static fn (array $kit): ?string => collect($kit['verdict']['lines'])->firstWhere('code', "{$module['code']}.L1")['pocket_id'];
        $before = $pouch($this->readKit('QH-05'));
        $this->postJson("/api/lists/{$new['id']}/adoption", ['design' => $change['designs'][0]['id']])->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertNull(collect($this->readKit('QH-05')['verdict']['lines'])->firstWhere('code', "{$module['code']}.N1"));
        $later = $this->getJson("/api/kits/{$module['code']}")->json('later_edition.id');
        $this->postJson("/api/kits/{$module['code']}/adoption", ['edition' => $later])->assertOk();
        $this->app?->forgetScopedInstances();
        $after = $this->readKit('QH-05');
        $this->assertSame($before, $pouch($after));
        $this->assertSame('Sick bag', collect($after['verdict']['lines'])->firstWhere('code', "{$module['code']}.N1")['need']);
        $this->assertMatchesRegularExpression(
            '/, edition 2 instead of .*, edition 1/',
            (string) $this->getJson("/api/kits/{$module['code']}/history")->json('entries.0.notes.0'),
        );
    }

    public function test_a_house_list_is_copied_and_changed_line_by_line(): void
    {
        $this->actAs('lead');
        $list = $this->postJson(
            '/api/lists',
            ['code' => 'river-walk', 'title' => 'River walk pouch', 'from' => $this->edition('walk-pouch')->id],
        )->assertCreated()->json();
        $this->assertSame(['house', false, 'Garden walk pouch, edition 1'], [$list['origin'], $list['confirmed'], $list['copied_from']]);
        $written = $this->written($list);
        $written['lines'][0]['quantity'] = 9;
        $written['lines'][0]['rank'] = 'critical';
        unset($written['lines'][1]);
        $written['lines'][] = [
            'code' => 'N1', 'need' => 'Tape', 'rank' => 'optional', 'total_measure' => 'length',
            'total_quantity' => '2.5 yd', 'accepts' => [['item' => 'tape-zinc-oxide']], 'reason' => 'Feet.',
        ];
        $written['lines'][] = [
            'code' => 'N2', 'need' => 'A square dressing', 'rank' => 'required', 'quantity' => 2,
            'accepts' => [['item' => 'dressing-large'], ['class' => 'dressing.sterile', 'minima' => [['measure' => 'width', 'quantity' => '4 in']]]],
        ];
        $written['lines'] = array_values($written['lines']);
        $changed = $this->putJson("/api/lists/{$list['id']}", $written)->assertOk()->json();
        $this->assertSame(count($list['lines']) + 1, count($changed['lines']));
        $this->assertSame(['9', 'critical'], [$changed['lines'][0]['required'], $changed['lines'][0]['rank']]);
        $this->assertSame('2.5 yd in all', collect($changed['lines'])->firstWhere('code', 'N1')['required']);
        $this->assertSame(
            'any dressing.sterile of at least width 10.16 cm',
            collect($changed['lines'])->firstWhere('code', 'N2')['accepts'][1]['text'],
        );
        $this->putJson("/api/lists/{$list['id']}", $written)->assertConflict();
        $this->postJson('/api/lists', ['code' => 'river-walk', 'title' => 'Again'])->assertUnprocessable();
        $this->assertSame([], $this->postJson('/api/lists', ['code' => 'empty-one', 'title' => 'Empty'])->assertCreated()->json('lines'));
    }

    public function test_a_class_has_a_maximum_and_a_list_says_for_whom_it_is_made(): void
    {
        $this->actAs('lead');
        $list = $this->postJson('/api/lists', ['code' => 'small-hands', 'title' => 'Small hands'])->assertCreated()->json();
        $line = fn (string $most): array => [
            'code' => 'L1', 'need' => 'A narrow bandage', 'rank' => 'critical', 'quantity' => 2, 'per' => 'people',
            'accepts' => [['class' => 'bandage', 'minima' => [['measure' => 'width', 'quantity' => '5 cm']], 'maxima' => [['measure' => 'width', 'quantity' => $most]]]],
        ];
        $sent = fn (array $more, string $most = '8 cm'): array => [
            'base' => 1, 'title' => 'Small hands', 'basis' => 'x', 'excludes' => [], 'lines' => [$line($most)], ...$more,
        ];
        $this->putJson("/api/lists/{$list['id']}", $sent(['made_for_people' => 6]))->assertJsonValidationErrors(['made_for_days']);
        $this->putJson("/api/lists/{$list['id']}", $sent(['made_for_people' => 0, 'made_for_days' => 3]))->assertJsonValidationErrors(['made_for_people']);
        $this->putJson("/api/lists/{$list['id']}", $sent([], '3 ells'))->assertJsonValidationErrors(['lines.0.accepts.0.max.width']);
        $changed = $this->putJson("/api/lists/{$list['id']}", $sent(['made_for_people' => 6, 'made_for_days' => 14]))->assertOk()->json();
        $this->assertSame([6, 14, 'people'], [$changed['made_for_people'], $changed['made_for_days'], $changed['lines'][0]['per']]);
        $this->assertSame('any bandage of at least width 5 cm and at most width 8 cm', $changed['lines'][0]['accepts'][0]['text']);
        $fitting = array_column($this->getJson('/api/choices/accepted?class=bandage.conforming&most[width]=8%20cm')->assertOk()->json(), 'code');
        $this->assertSame(['conforming-bandage-75'], $fitting, 'The one of 10 cm does not fit.');
        // The file says the same, and comes back the same.
        $sheet = (string) $this->get('/api/exports/lists?format=csv')->getContent();
        $this->assertStringContainsString('class bandage [width=5 cm] [at most width=8 cm]', $sheet);
        $lists = json_decode((string) $this->get('/api/exports/lists?format=json')->getContent(), true);
        $own = collect($lists['lists'])->firstWhere('code', 'small-hands');
        $this->assertSame(['people' => 6, 'days' => 14], $own['made_for']);
        $this->assertSame(['width' => '8 cm'], $own['lines'][0]['accepts'][0]['max']);
        $this->assertSame('people', $own['lines'][0]['per']);
        $edition = KitList::query()->where('code', 'small-hands')->firstOrFail();
        $this->assertSame(
            [['class' => 'bandage', 'min' => ['width' => '5 cm'], 'max' => ['width' => '8 cm']]],
            \App\Exchange\Cells::readAccepts('class bandage [width=5 cm] [at most width=8 cm]'),
        );
        $copy = $this->postJson('/api/lists', ['code' => 'small-hands-2', 'title' => 'Copy', 'from' => $edition->id])->assertCreated()->json();
        $this->assertSame([6, 'any bandage of at least width 5 cm and at most width 8 cm'], [$copy['made_for_people'], $copy['lines'][0]['accepts'][0]['text']]);
    }

    public function test_what_the_core_would_refuse_is_refused_at_its_line(): void
    {
        $this->actAs('lead');
        $list = $this->postJson('/api/lists', ['code' => 'try-list', 'title' => 'To try'])->assertCreated()->json();
        $line = ['code' => 'L1', 'need' => 'Tape', 'rank' => 'required', 'quantity' => 1, 'accepts' => [['item' => 'shears']]];
        $total = [
            'code' => 'L1', 'need' => 'Tape', 'rank' => 'required', 'total_measure' => 'length',
            'total_quantity' => '2 m', 'accepts' => [['item' => 'tape-zinc-oxide']],
        ];
        foreach ([
            'lines.0.accepts.0.item' => [[...$line, 'accepts' => [['item' => 'no-such']]]],
            'lines.0.accepts.0.class' => [[...$line, 'accepts' => [['class' => 'No Class']]]],
            'lines.0.accepts.0.min.width' => [[
                ...$line,
                'accepts' => [['class' => 'bandage', 'minima' => [['measure' => 'width', 'quantity' => '3 ells']]]],
            ]],
            'lines.0.accepts' => [[...$total, 'accepts' => [['item' => 'marker-pen']]]],
            'lines.1.accepts' => [$total, [...$line, 'code' => 'L2', 'accepts' => [['item' => 'tape-zinc-oxide']]]],
            'lines.0.quantity' => [[...$line, 'quantity' => 0]],
            'lines.1.code' => [$line, $line],
        ] as $field => $lines) {
            $this->putJson(
                "/api/lists/{$list['id']}",
                ['base' => 1, 'title' => 'To try', 'basis' => 'x', 'excludes' => [], 'lines' => $lines],
            )->assertJsonValidationErrors([$field]);
        }
        $this->putJson(
            "/api/lists/{$list['id']}",
            ['base' => 1, 'title' => 'To try', 'basis' => 'x', 'excludes' => ['Not A Class'], 'lines' => []],
        )->assertUnprocessable();
        $this->assertSame([], $this->getJson("/api/lists/{$list['id']}")->json('lines'));
    }

    public function test_a_line_that_is_changed_must_be_compared_again(): void
    {
        $this->actAs('lead');
        $list = $this->postJson('/api/lists', ['code' => 'try-list', 'title' => 'To try', 'from' => $this->edition('module-eye')->id])->json();
        foreach (['L1', 'L2'] as $line) {
            $this->putJson("/api/lists/{$list['id']}/confirmations/{$line}", ['outcome' => 'matches'])->assertOk();
        }
        $written = $this->written($list);
        $written['lines'][0]['quantity'] = 5;
        $after = $this->putJson("/api/lists/{$list['id']}", $written)->assertOk()->json();
        $this->assertNull($after['lines'][0]['confirmation']);
        $this->assertSame('matches', $after['lines'][1]['confirmation']['outcome']);
    }

    public function test_a_new_edition_keeps_the_numbers_of_its_lines_and_needs_a_name_of_its_own(): void
    {
        $this->actAs('lead');
        $old = $this->edition('module-burn');
        $this->postJson("/api/lists/{$old->id}/editions", ['edition' => '1'])->assertUnprocessable();
        $new = $this->postJson("/api/lists/{$old->id}/editions", ['edition' => '2027'])->assertCreated()->json();
        $this->assertSame(['2027', '1'], [$new['edition'], $new['supersedes']['edition']]);
        $this->assertSame($old->lines->pluck('code')->all(), array_column($new['lines'], 'code'));
        $this->assertSame(
            [true, false],
            [
                collect($this->getJson('/api/lists')->json('lists'))->firstWhere('id', $new['id'])['latest'],
                collect($this->getJson('/api/lists')->json('lists'))->firstWhere('id', $old->id)['latest'],
            ],
        );
    }

    public function test_every_house_list_has_a_reason_for_every_line_and_every_risk_its_module(): void
    {
        foreach (KitList::query()->where('origin', 'house')->with('lines')->get() as $list) {
            foreach ($list->lines as $line) {
                $this->assertNotSame('', trim((string) $line->reason), "{$list->title}: {$line->need}");
            }
        }
        $served = collect($this->actAs('member')->getJson('/api/choices')->assertOk()->json())->keyBy('wanted');
        $this->assertCount(18, $served, 'Seven kinds of kit, ten risks, and no running water.');
        foreach ($served as $choice) {
            $this->assertNotNull($choice['list'], $choice['wanted']);
            $this->assertGreaterThan(0, $choice['each'], $choice['wanted']);
        }
        foreach ([
            'sideline-bag', 'individual-bleeding-set', 'bleeding-station', 'travel-kit', 'vehicle-kit', 'childcare',
            'outdoor-day', 'outdoor-week', 'rescue-pack', 'event-tent', 'condition-set',
        ] as $code) {
            $this->assertNull($this->edition($code)->confirmed_at, 'Unconfirmed until somebody confirms it.');
        }
    }

    public function test_a_kit_is_held_against_any_list(): void
    {
        $this->actAs('member');
        $own = $this->edition('tree-crew');
        $held = $this->getJson("/api/lists/{$own->id}/comparison?subject=kit:QH-07")->assertOk()->json();
        $kit = $this->readKit('QH-07');
        $this->assertSame($kit['verdict']['verdict'], $held['verdict'], 'Against its own list the answer is its own verdict.');
        $gauze = collect($held['lines'])->firstWhere('need', 'Haemostatic gauze');
        $this->assertSame(['short', '1', '2'], [$gauze['outcome'], $gauze['there'], $gauze['required']]);

        $other = $this->getJson('/api/lists/'.$this->edition('bs-8599-1/large', '2019')->id.'/comparison?subject=kit:QH-01')->assertOk()->json();
        $this->assertContains('short', array_column($other['lines'], 'outcome'));
        $this->assertContains('met', array_column($other['lines'], 'outcome'));
        $this->assertGreaterThan(0, $other['add_mass_g']);
        $this->assertSame($other['mass_g'] + $other['add_mass_g'], $other['mass_then_g']);
        $this->assertSame(array_sum(array_column($other['add'], 'cost')), $other['add_cost']);

        // What it would take is enough: with it, the list is met.
        $excluded = $this->getJson("/api/lists/{$own->id}/comparison?subject=kit:QH-16")->json();
        $this->assertContains('extra', array_column($excluded['rest'], 'because'));
        $design = $this->getJson('/api/lists/'.$this->edition('bs-8599-1/small', '2019')->id.'/comparison?subject=design:workplace-medium')->assertOk()->json();
        $this->assertSame('ready', $design['verdict']);
        $this->assertSame([], $design['add']);
        $this->getJson("/api/lists/{$own->id}/comparison?subject=kit:NO-SUCH")->assertUnprocessable();
        $this->getJson("/api/lists/{$own->id}/comparison?subject=")->assertUnprocessable();
    }

    /**
     * @param  array<string, mixed>  $list  as read
     * @return array<string, mixed> as it is sent back
     */
    private function written(array $list): array
    {
        return ['base' => $list['revision'], 'title' => $list['title'], 'size' => $list['size'], 'basis' => $list['basis'], 'excludes' => $list['excludes'], 'lines' => array_map(static fn (array $line): array => [
            'code' => $line['code'], 'need' => $line['need'], 'rank' => $line['rank'], 'quantity' => $line['quantity'], 'total_measure' => $line['total_measure'], 'total_quantity' => $line['total_quantity'], 'reason' => $line['reason'],
            'accepts' => array_map(
                static fn (array $entry): array => $entry['item'] !== null ? ['item' => $entry['item']] : [
                    'class' => $entry['class'],
                    'minima' => array_map(
                        static fn (array $least): array => ['measure' => $least['measure'], 'quantity' => $least['quantity']],
                        $entry['minima'],
                    ),
                ],
                $line['accepts'],
            ),
        ], $list['lines'])];
    }

    private function today(): string
    {
        return \App\Accounts\Models\Organisation::current()->today();
    }
}
