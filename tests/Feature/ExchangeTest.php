<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Catalogue\Models\Item;
use App\Exchange\ImportFile;
use App\Exchange\Kind;
use App\Exchange\Models\Import;
use App\Exchange\ReadImport;
use App\Exchange\Sheet;
use App\Exchange\TakeImport;
use App\Kits\Models\Kit;
use App\Lists\Models\KitList;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Files: what is taken out follows the published schema, and comes back in unchanged; all or nothing. */
final class ExchangeTest extends TestCase
{
    /** @return iterable<string, array{Kind}> */
    public static function kinds(): iterable
    {
        foreach (Kind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_what_is_taken_out_follows_its_published_schema(Kind $kind): void
    {
        $file = $this->actAs('auditor')->get("/api/exports/{$kind->value}")->assertOk();
        $this->assertStringContainsString("sarcina-{$kind->value}.json", (string) $file->headers->get('Content-Disposition'));
        $document = json_decode((string) $file->getContent());
        $result = (new Validator)->validate($document, json_decode((string) file_get_contents($kind->schema())));
        $this->assertTrue($result->isValid(), $result->error() === null ? '' : (string) json_encode((new ErrorFormatter)->format($result->error())));
        $this->assertGreaterThan(5, count($document->{$kind->member()}));
    }

    #[DataProvider('kinds')]
    public function test_what_is_taken_out_comes_back_in_and_changes_nothing(Kind $kind): void
    {
        $this->actAs('lead');
        foreach (['json', 'csv'] as $format) {
            $text = (string) $this->get("/api/exports/{$kind->value}?format={$format}")->assertOk()->getContent();
            $import = $this->bringIn($kind->value, $format, $text);
            $this->assertSame(
                [],
                array_filter($import['shown'], static fn (array $row): bool => $row['outcome'] !== 'same'),
                "{$format}: ".json_encode($import['shown']),
            );
            $this->assertSame(['ready', 0, 0, 0], [$import['state'], $import['new'], $import['changed'], $import['errors']]);
            $this->assertSame($import['rows'], $import['same']);
        }
    }

    public function test_the_documents_of_the_rules_follow_their_schemas_too(): void
    {
        $this->actAs('lead');
        $assessment = \App\Assess\Models\Assessment::query()->firstOrFail();
        foreach (['kit' => '/api/kits/QH-01/file', 'whole' => '/api/kits/QH-17/file', 'assessment' => "/api/assessments/{$assessment->id}/file"] as $name => $address) {
            $result = (new Validator)->validate(
                json_decode((string) $this->getJson($address)->assertOk()->getContent()),
                json_decode((string) file_get_contents(public_path("schemas/sarcina.{$name}-1.json"))),
            );
            $this->assertTrue(
                $result->isValid(),
                $result->error() === null ? '' : (string) json_encode((new ErrorFormatter)->format($result->error())),
            );
        }
    }

    public function test_a_file_is_previewed_as_a_difference_and_taken_whole(): void
    {
        $this->actAs('lead');
        $records = json_decode((string) $this->get('/api/exports/catalogue')->getContent(), true)['items'];
        $shears = array_search('shears', array_column($records, 'code'), true);
        $records[$shears]['mass_g'] = 60;
        $records[$shears]['allergy'] = 'Nickel.';
        $fresh = [
            ...$records[$shears], 'code' => 'shears-long', 'name' => 'Long shears', 'class' => 'shears.long',
            'size' => ['length' => '9 in'], 'stand_ins' => ['shears'],
        ];
        $import = $this->bringIn(
            'catalogue',
            'json',
            (string) json_encode([
                'format' => 'sarcina.catalogue/1',
                'items' => array_map(static fn (array $item): array => [...$item, 'size' => (object) $item['size']], [...$records, $fresh]),
            ]),
        );
        $this->assertSame(['ready', 1, 1, 0], [$import['state'], $import['new'], $import['changed'], $import['errors']]);
        $changed = collect($import['shown'])->firstWhere('outcome', 'changed');
        $this->assertSame(['mass_g: 55 before, now 60', 'allergy: none before, now Nickel.'], $changed['texts']);
        $this->assertSame(55, Item::query()->where('code', 'shears')->value('mass_g'), 'A preview changes nothing.');
        $done = $this->putJson("/api/imports/{$import['id']}/taking")->assertOk()->json();
        $this->assertSame(['done', $import['rows']], [$done['state'], $done['taken']]);
        $this->assertSame(
            [60, 'Nickel.'],
            [Item::query()->where('code', 'shears')->value('mass_g'), Item::query()->where('code', 'shears')->value('allergy')],
        );
        $long = $this->getJson('/api/items/shears-long')->assertOk()->json();
        $this->assertSame([['measure' => 'length', 'quantity' => '9 in', 'shown' => '22.86 cm']], $long['measures']);
        $this->assertSame('shears', $long['stand_ins'][0]['code']);
        $this->putJson("/api/imports/{$import['id']}/taking")->assertUnprocessable();
    }

    public function test_one_bad_row_and_nothing_is_taken(): void
    {
        $this->actAs('lead');
        $sheet = implode("\n", [
            'code,name,class,dated,sterile,mass_g,scope,reserve,purpose,size,needs',
            'tape-new,New tape,tape,no,no,30,anyone,yes,Holds,length=5 m,1 per kit of shears|scissors: It cannot be torn.',
            'tape-bad,Bad tape,tape,no,no,heavy,anyone,yes,Holds,length=5 ells,',
            'tape-lost,Lost tape,tape,perhaps,no,30,wizard,yes,Holds,,1 per kit of no-such: why',
            'tape-new,Twice,tape,no,no,30,anyone,yes,Holds,,',
            'tape-own,Own,tape,no,no,30,anyone,yes,Holds,,1 per kit of no-such: why',
            "tape-turned,Tape \u{202E}neddih,tape,no,no,30,anyone,yes,Holds,,",
        ]);
        $import = $this->bringIn('catalogue', 'csv', $sheet);
        $this->assertSame(['refused', 1, 5], [$import['state'], $import['new'], $import['errors']]);
        $rows = collect($import['shown'])->keyBy('number');
        $said = implode("\n", $import['shown'] === [] ? [] : array_merge(...array_column($import['shown'], 'texts')));
        $this->assertStringContainsString('mass_g: here belongs a whole number. It is "heavy".', $said);
        $this->assertStringContainsString('size, length: here belongs a number with its unit, such as 7.5 cm. It is "5 ells".', $said);
        $this->assertStringContainsString('scope: here belongs one of anyone, first_aider, trained, clinician. It is "wizard".', $said);
        $this->assertStringContainsString('dated: here belongs yes or no (true or false). It is "perhaps".', $said);
        $this->assertDoesNotMatchRegularExpression('/pattern|should|schema|\^|properties/', $said);
        $this->assertStringContainsString('There is no item "no-such"', implode(' ', $rows[6]['texts']));
        $this->assertStringContainsString('twice', implode(' ', $rows[5]['texts']));
        $this->assertStringContainsString('turns the direction of the text', implode(' ', $rows[7]['texts']));
        $this->assertSame('error', $rows[4]['outcome']);
        $this->putJson("/api/imports/{$import['id']}/taking")->assertUnprocessable()->assertJsonValidationErrors(['import']);
        $this->assertNull(Item::query()->where('code', 'tape-new')->first());
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function unreadable(): iterable
    {
        yield 'no JSON' => ['catalogue', 'json', '{', 'not JSON'];
        yield 'another format' => ['lists', 'json', '{"format":"sarcina.catalogue/1","items":[]}', 'sarcina.lists/1'];
        yield 'a key that is not known' => ['catalogue', 'json', '{"format":"sarcina.catalogue/1","items":[],"more":1}', 'more'];
        yield 'a heading that is not known' => ['catalogue', 'csv', "code,colour\na,b\n", 'colour'];
        yield 'no key heading' => ['kits', 'csv', "name,design\na,b\n", 'kit'];
        yield 'a heading twice' => ['catalogue', 'csv', "code,name,name\na,b,c\n", 'twice'];
        yield 'more cells than headings' => ['catalogue', 'csv', "code,name\na,b,c\n", 'Row 2'];
        yield 'not UTF-8' => ['catalogue', 'csv', "code,name\na,M\xe4rz\n", 'UTF-8'];
    }

    #[DataProvider('unreadable')]
    public function test_a_file_that_cannot_be_read_is_refused_at_once_and_says_why(string $kind, string $format, string $text, string $says): void
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            $this->expectExceptionMessageMatches('/UTF-8/');
            Sheet::read($text, ['code', 'name']);
        }
        $answer = $this->actAs('lead')->postJson(
            '/api/imports',
            ['id' => $this->ulid(), 'kind' => $kind, 'format' => $format, 'file_name' => 'x', 'source' => $text],
        )->assertUnprocessable()->assertJsonValidationErrors(['source']);
        $this->assertStringContainsString($says, (string) $answer->json('errors.source.0'));
    }

    public function test_a_list_is_brought_in_unconfirmed_and_a_confirmed_edition_stays(): void
    {
        $this->actAs('lead');
        $sheet = (string) $this->get('/api/exports/lists?format=csv')->getContent();
        $rows = Sheet::read(
            $sheet,
            [
                'list', 'title', 'size', 'edition', 'basis', 'origin', 'kind', 'confirmed', 'excludes', 'line',
                'need', 'rank', 'amount', 'accepts', 'reason', 'anyone_may_use', 'people', 'days', 'per',
            ],
        );
        $set = array_values(array_filter(
            $rows,
            static fn (array $row): bool => $row['cells']['list'] === 'bleeding-set' && $row['cells']['edition'] === '1',
        ));
        $write = static fn (array $cells): string => Sheet::write(
            array_keys($set[0]['cells']),
            array_map(static fn (array $row): array => array_values([...$row['cells'], ...$cells]), $set),
        );
        $tampered = $this->bringIn('lists', 'csv', $write(['amount' => '9']));
        $this->assertSame('refused', $tampered['state']);
        $this->assertStringContainsString('confirmed and never changes', $tampered['shown'][0]['texts'][0]);
        $fresh = $this->bringIn('lists', 'csv', $write(['edition' => '2028', 'amount' => '9', 'confirmed' => 'yes']));
        $this->assertSame(['ready', 1], [$fresh['state'], $fresh['new']]);
        $this->putJson("/api/imports/{$fresh['id']}/taking")->assertOk();
        $list = KitList::query()->where('code', 'bleeding-set')->where('edition', '2028')->firstOrFail();
        $this->assertNull($list->confirmed_at, 'A file never confirms.');
        $this->assertSame(9, $list->lines()->firstOrFail()->quantity);
    }

    public function test_a_kit_is_packed_by_its_file_and_a_known_one_keeps_its_contents(): void
    {
        $this->actAs('lead');
        $kits = json_decode((string) $this->get('/api/exports/kits')->getContent(), true)['kits'];
        $box = collect($kits)->firstWhere('code', 'QH-01');
        $file = static fn (array ...$kits): string => (string) json_encode(['format' => 'sarcina.kits/1', 'kits' => $kits]);
        $more = $box;
        $more['contents'][0]['quantity']++;
        $this->assertStringContainsString('changed by a check', $this->bringIn('kits', 'json', $file($more))['shown'][0]['texts'][0]);
        $import = $this->bringIn(
            'kits',
            'json',
            $file([...$box, 'name' => 'Front desk box'], [...$box, 'code' => 'QH-31', 'name' => 'Copy of the desk box', 'place' => 'Café']),
        );
        $this->assertSame([1, 1, 0], [$import['new'], $import['changed'], $import['errors']]);
        $this->putJson("/api/imports/{$import['id']}/taking")->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertSame('Front desk box', Kit::query()->where('code', 'QH-01')->value('name'));
        $copy = $this->readKit('QH-31');
        $this->assertSame($this->readKit('QH-01')['verdict']['mass_g'], $copy['verdict']['mass_g']);
        $this->assertSame('Café', $copy['place']['path']);
        $this->assertSame(0, $this->artisan('ledger:verify')->run());
        foreach ([
            ['place' => 'Nowhere'], ['design' => 'no-such'],
            ['contents' => [['pocket' => 'Lid, Nowhere', 'item' => 'shears', 'quantity' => 1]]],
            ['contents' => [['pocket' => $box['contents'][0]['pocket'], 'item' => 'no-such', 'quantity' => 1]]],
            ['contents' => [['pocket' => $box['contents'][0]['pocket'], 'item' => 'shears', 'expires' => '2027-13', 'quantity' => 1]]],
            ['code' => 'qh 40'],
        ] as $but) {
            $this->assertSame(
                'refused',
                $this->bringIn('kits', 'json', $file([...$box, 'code' => 'QH-40', ...$but]))['state'],
                (string) json_encode($but),
            );
        }
    }

    public function test_a_kit_with_a_module_comes_back_as_it_is_and_a_new_one_gets_its_own(): void
    {
        $this->actAs('lead');
        $site = \App\Assess\Models\Assessment::query()->orderBy('started_on', 'desc')->firstOrFail();
        $task = collect($this->postJson("/api/assessments/{$site->id}/tasks")->json('tasks'))->firstWhere('kit', 'QH-05');
        $this->putJson("/api/tasks/{$task['id']}", ['state' => 'done'])->assertOk();
        $this->app?->forgetScopedInstances();
        $plan = $this->getJson('/api/kits/QH-05/restock')->json();
        $module = $this->getJson('/api/kits/QH-05')->json('modules.0.code');
        $put = collect($plan['in'])->firstWhere('line', "{$module}.L1");
        $this->putJson(
            "/api/kits/QH-05/restocks/{$this->ulid()}",
            [
                'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'],
                'out' => [],
                'in' => [['pocket_id' => $put['pocket_id'], 'lot_id' => $put['lot_id'], 'quantity' => $put['quantity']]],
            ],
        )->assertOk();
        $all = collect(json_decode((string) $this->get('/api/exports/kits')->getContent(), true)['kits']);
        [$box, $pouch] = [$all->firstWhere('code', 'QH-05'), $all->firstWhere('code', $module)];
        $this->assertSame(['QH-05', ['Pouch, Waste / tools / gloves']], [$pouch['in'], array_column($pouch['contents'], 'pocket')]);
        $file = static fn (array ...$kits): string => (string) json_encode(['format' => 'sarcina.kits/1', 'kits' => $kits]);
        $this->assertSame(2, $this->bringIn('kits', 'json', $file($pouch, $box))['same']);
        $nowhere = $this->bringIn('kits', 'json', $file([...$pouch, 'code' => 'QH-M9', 'in' => 'QH-99']));
        $this->assertStringContainsString('There is no kit "QH-99"', implode(' ', $nowhere['shown'][0]['texts']));
        $copy = $this->bringIn('kits', 'json', $file([...$pouch, 'code' => 'QH-M9', 'in' => 'QH-35'], [...$box, 'code' => 'QH-35']));
        $this->putJson("/api/imports/{$copy['id']}/taking")->assertOk();
        $this->app?->forgetScopedInstances();
        $made = $this->readKit('QH-35');
        $this->assertSame(['QH-M9'], array_column($made['modules'], 'code'));
        $this->assertContains('QH-M9.L1', array_column($made['verdict']['lines'], 'code'));
    }

    public function test_a_design_that_is_brought_in_is_a_new_edition_and_kits_keep_theirs(): void
    {
        $this->actAs('lead');
        $designs = json_decode((string) $this->get('/api/exports/designs')->getContent(), true)['designs'];
        $set = collect($designs)->firstWhere('code', 'bleeding-set');
        $file = static fn (array $design): string => (string) json_encode(['format' => 'sarcina.designs/1', 'designs' => [$design]]);
        $copy = [...$set, 'code' => 'harness-set', 'name' => 'Harness set', 'sealed' => true, 'seasons' => ['03-01']];
        $import = $this->bringIn('designs', 'json', $file($copy));
        $this->assertSame(['ready', 1], [$import['state'], $import['new']], (string) json_encode($import['shown']));
        $this->putJson("/api/imports/{$import['id']}/taking")->assertOk();
        $this->app?->forgetScopedInstances();
        $made = collect($this->getJson('/api/designs')->json())->firstWhere('code', 'harness-set');
        $this->assertSame([true, 6], [$made['sealed'], $made['lines']]);
        $first = $set['leaves'][0]['pockets'][0];
        $less = $set;
        $less['leaves'][0]['pockets'][0]['name'] = 'Renamed';
        $import = $this->bringIn('designs', 'json', $file($less));
        $this->putJson("/api/imports/{$import['id']}/taking")->assertOk();
        $this->app?->forgetScopedInstances();
        $this->assertSame($first['name'], $this->readKit('QH-08')['leaves'][0]['pockets'][0]['name'], 'Kits keep the edition that they have.');
        $change = $this->getJson('/api/kits/QH-08/adoption')->assertOk()->json();
        $this->assertSame([1, 2], [$change['from']['number'], $change['to']['number']]);
        $this->assertStringContainsString("from {$set['leaves'][0]['name']}, {$first['name']} to", implode(' ', $change['effect']['moved']));
        $homeless = $set;
        $homeless['leaves'][0]['pockets'][0]['lines'] = array_slice($first['lines'], 1);
        $this->assertStringContainsString('has no pocket', implode(' ', $this->bringIn('designs', 'json', $file($homeless))['shown'][0]['texts']));
        $this->assertStringContainsString(
            'Import the list first',
            implode(' ', $this->bringIn('designs', 'json', $file([...$copy, 'edition' => '99']))['shown'][0]['texts']),
        );
    }

    public function test_cells_that_a_spreadsheet_would_run_are_made_harmless_and_come_back_as_they_were(): void
    {
        $this->actAs('lead');
        foreach (['=HYPERLINK("http://x")', '+1', '-1', '@SUM(A1)', '|calc', "'quoted", 'plain', "\tTab"] as $cell) {
            $written = Sheet::write(['code'], [[$cell]]);
            $this->assertMatchesRegularExpression('/^code\r\n"?(\'|plain)/', $written, $cell);
            $this->assertSame($cell, Sheet::read($written, ['code'])[0]['cells']['code']);
        }
        Item::query()->where('code', 'shears')->update(['caution' => '=1+1']);
        $this->assertStringContainsString(",'=1+1,", (string) $this->get('/api/exports/catalogue?format=csv')->getContent());
    }

    public function test_files_that_would_fill_the_memory_are_refused_in_words(): void
    {
        $this->actAs('lead');
        $send = fn (string $format, string $text) => $this->postJson('/api/imports', [
            'id' => $this->ulid(), 'kind' => 'catalogue', 'format' => $format, 'file_name' => "large.{$format}", 'source' => $text,
        ]);
        $refused = static fn (TestResponse $answer, string $says) => $answer->assertUnprocessable()
            ->assertJsonPath('errors.source.0', static fn (string $text): bool => str_contains($text, $says));
        memory_reset_peak_usage();
        $refused($send('csv', "code,name\n".str_repeat("a,b\n", 200_000)), 'more than 20,000 rows');
        $refused($send('csv', "code,name\na,".str_repeat('x', 30_000)."\n"), 'Row 2, cell 2 is longer');
        $refused($send('json', '{"format":"sarcina.catalogue/1","items":['.implode(',', array_fill(0, 400_000, '{}')).']}'), 'objects and lists');
        $refused($send('json', '{"format":"sarcina.catalogue/1","items":['.implode(',', array_fill(0, 21_000, '{}')).']}'), 'more than 20,000 entries');
        $body = '{"source":['.implode(',', array_fill(0, 400_000, '{}')).']}';
        $this->call('POST', '/api/imports', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body)->assertStatus(400);
        $this->assertLessThan(256_000_000, memory_get_peak_usage());
    }

    public function test_five_thousand_rows_are_in_within_twenty_seconds_and_say_how_far_they_are(): void
    {
        $this->actAs('lead');
        $rows = [];
        for ($number = 1; $number <= 5000; $number++) {
            $rows[] = [
                "bulk-{$number}", "Bulk dressing {$number}", 'dressing.bulk', 'each', 'yes', 'yes',
                (string) ($number % 90 + 1), 'anyone', 'yes', 'Covers', '', '', '5', '25', '2 weeks', '',
                'width='.($number % 20 + 1).' cm; height=4 in', '1 for 120; 10 for 1000',
                $number % 5 === 0 ? '1 per kit of shears|scissors: It is cut to size.' : '',
                $number % 7 === 0 ? 'dressing-large' : '',
            ];
        }
        $sheet = Sheet::write(
            [
                'code', 'name', 'class', 'count_unit', 'dated', 'sterile', 'mass_g', 'scope', 'reserve', 'purpose',
                'caution', 'superseded_by', 'storage_min_c', 'storage_max_c', 'opened_life', 'allergy', 'size',
                'packs', 'needs', 'stand_ins',
            ],
            $rows,
        );
        $from = microtime(true);
        Queue::fake();
        $import = $this->postJson(
            '/api/imports',
            ['id' => $this->ulid(), 'kind' => 'catalogue', 'format' => 'csv', 'file_name' => 'bulk.csv', 'source' => $sheet],
        )->assertCreated()->json();
        $this->assertSame(['reading', 5000, 0], [$import['state'], $import['rows'], $import['read']]);
        $seen = [];
        $worker = app(ImportFile::class);
        while ($import['state'] === 'reading') {
            $worker->step(Import::query()->findOrFail($import['id']));
            $import = $this->getJson("/api/imports/{$import['id']}")->assertOk()->json();
            $seen[] = $import['read'];
        }
        $this->assertGreaterThan(1, count($seen), 'Progress shows.');
        $this->assertSame(['ready', 5000], [$import['state'], $import['new']]);
        $this->assertSame('taking', $this->putJson("/api/imports/{$import['id']}/taking")->assertOk()->json('state'));
        $this->putJson("/api/imports/{$import['id']}/taking")->assertOk();
        Queue::assertPushed(TakeImport::class, 1);
        $this->app?->call([new TakeImport($import['id'], $this->person('lead')->id), 'handle']);
        $seconds = microtime(true) - $from;
        $this->assertSame(5000, Item::query()->where('code', 'like', 'bulk-%')->count());
        $this->assertLessThan(20, $seconds);
        fwrite(STDERR, sprintf("\n5,000 rows in %.1f s\n", $seconds));
    }

    public function test_what_was_changed_since_the_preview_is_not_overwritten_and_nothing_of_the_file_is_taken(): void
    {
        $this->actAs('lead');
        $heading = 'code,name,class,dated,sterile,mass_g,scope,reserve,purpose,size,needs';
        $import = $this->bringIn('catalogue', 'csv', "{$heading}\ntape-new,New tape,tape,no,no,30,anyone,yes,Holds,,1 per kit of whistle: why");
        $this->assertSame('ready', $import['state'], (string) json_encode($import['shown']));
        Item::query()->where('code', 'whistle')->update(['code' => 'whistle-old']);
        $after = $this->putJson("/api/imports/{$import['id']}/taking")->assertOk()->json();
        $this->assertSame('ready', $after['state']);
        $this->assertStringContainsString('Row 2 no longer fits what is there: There is no item "whistle"', $after['problem']);
        $this->assertNull(Item::query()->where('code', 'tape-new')->first());
        Item::query()->where('code', 'whistle-old')->update(['code' => 'whistle']);
        $this->assertSame(['done', null], array_values(array_intersect_key(
            $this->putJson("/api/imports/{$import['id']}/taking")->assertOk()->json(), ['state' => 0, 'problem' => 0],
        )));
        $this->assertNotNull(Item::query()->where('code', 'tape-new')->first());
    }

    public function test_an_import_that_was_interrupted_can_be_asked_for_again(): void
    {
        $this->actAs('lead');
        $import = $this->bringIn('catalogue', 'csv', "code,name,class,dated,sterile,mass_g,scope,reserve,purpose\ntape-new,New tape,tape,no,no,30,anyone,yes,Holds");
        Queue::fake();
        $this->assertSame('taking', $this->putJson("/api/imports/{$import['id']}/taking")->json('state'));
        (new TakeImport($import['id'], $this->person('lead')->id))->failed(null);
        $now = $this->getJson("/api/imports/{$import['id']}")->json();
        $this->assertSame(['ready', 'The import was interrupted. Nothing was imported; import it again.'], [$now['state'], $now['problem']]);
    }

    public function test_a_file_that_is_never_read_to_its_end_is_said_to_be_refused(): void
    {
        $this->actAs('lead');
        Queue::fake();
        $import = $this->bringIn('catalogue', 'csv', "code,name,class,dated,sterile,mass_g,scope,reserve,purpose\ntape-new,New tape,tape,no,no,30,anyone,yes,Holds");
        $this->assertSame('reading', $import['state']);
        (new ReadImport($import['id']))->failed(null);
        $now = $this->getJson("/api/imports/{$import['id']}")->json();
        $this->assertSame('refused', $now['state']);
        $this->assertStringContainsString('Nothing was imported; import it again.', $now['problem']);
    }

    /** @return array<string, mixed> read to its end */
    private function bringIn(string $kind, string $format, string $text): array
    {
        $import = $this->postJson(
            '/api/imports',
            ['id' => $this->ulid(), 'kind' => $kind, 'format' => $format, 'file_name' => "try.{$format}", 'source' => $text],
        )->assertCreated()->json();

        return $import;
    }
}
