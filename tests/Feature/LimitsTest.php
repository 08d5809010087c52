<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Assess\Models\Assessment;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is too much, what cannot be read, and what cannot be seen: refused in words, before anything is done with it. */
final class LimitsTest extends TestCase
{
    public function test_more_than_is_ever_entered_is_refused_before_it_is_read(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $row = ['pocket_id' => $plan['in'][0]['pocket_id'], 'lot_id' => $plan['in'][0]['lot_id'], 'quantity' => 1];
        $began = hrtime(true);
        $this->putJson('/api/kits/QH-07/restocks/'.$this->ulid(), [
            'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'], 'out' => [], 'in' => array_fill(0, 8000, $row),
        ])->assertStatus(413)->assertHeader('Content-Type', 'application/problem+json')->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertJsonPath('detail', 'At most 256 kB are sent at once. Send it in parts. Nothing was saved.');
        fwrite(STDERR, sprintf("\n8,000 rows of a restock are refused in %d ms\n", (hrtime(true) - $began) / 1e6));
        // Of fewer that are still too many, none is looked at.
        $answer = $this->putJson('/api/kits/QH-07/restocks/'.$this->ulid(), [
            'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'], 'out' => [], 'in' => array_fill(0, 1500, ['quantity' => 'x']),
        ])->assertUnprocessable()->json('errors');
        $this->assertSame(['in'], array_keys($answer));
    }

    public function test_a_list_as_long_as_lists_may_be_is_saved_within_two_seconds(): void
    {
        $lead = $this->actAs('lead');
        $id = $lead->postJson('/api/lists', ['code' => 'long-list', 'title' => 'Long list'])->assertCreated()->json('id');
        $items = array_slice(DB::table('items')->orderBy('code')->pluck('code')->all(), 0, 10);
        $lines = array_map(static fn (int $at): array => [
            'code' => "L{$at}", 'need' => "Need {$at}", 'rank' => 'required', 'quantity' => 1, 'total_measure' => null, 'total_quantity' => null, 'reason' => null,
            'accepts' => array_map(static fn (string $item): array => ['item' => $item], $items),
        ], range(1, 200));
        $written = ['base' => 1, 'title' => 'Long list', 'size' => null, 'basis' => 'Made for a test', 'excludes' => [], 'lines' => $lines];
        foreach ([1, 2] as $base) {
            $began = hrtime(true);
            $lead->putJson("/api/lists/{$id}", ['base' => $base] + $written)->assertOk();
            $ms = (hrtime(true) - $began) / 1e6;
            fwrite(STDERR, sprintf("\na list of 200 lines with 10 items each is saved in %d ms\n", $ms));
            $this->assertLessThan(2000, $ms);
        }
        $lines[199]['accepts'][9] = ['item' => ''];
        $lead->putJson("/api/lists/{$id}", ['base' => 3, 'lines' => $lines] + $written)->assertUnprocessable()
            ->assertJsonPath('errors', ['lines.199.accepts.9.item' => ['Choose an item, or write a class.']]);
        $lines[199]['accepts'] = array_fill(0, 11, ['item' => $items[0]]);
        $lead->putJson("/api/lists/{$id}", ['base' => 3, 'lines' => $lines] + $written)->assertUnprocessable()
            ->assertJsonPath('errors.lines.0', 'At most 2,000 items and classes serve the lines of a list, and these are 2001. Name a class in place of many items.');
    }

    public function test_many_rows_are_looked_up_at_once(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $queries = function (int $rows) use ($plan): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->putJson('/api/kits/QH-07/restocks/'.$this->ulid(), [
                'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'], 'out' => [], 'in' => array_map(
                    fn (int $row): array => ['pocket_id' => $plan['in'][0]['pocket_id'], 'lot_id' => $row === 0 ? $plan['in'][0]['lot_id'] : $this->ulid(), 'quantity' => 1], range(0, $rows - 1),
                ),
            ])->assertUnprocessable()->assertJsonPath('errors', fn (array $errors): bool => count($errors) === $rows - 1 && $errors['in.1.lot_id'] === ['This lot is not on record.']);

            return count(DB::getQueryLog());
        };
        $this->assertSame($queries(2), $queries(100));
    }

    public function test_a_question_has_no_body(): void
    {
        $this->actAs('keeper')->call('GET', '/api/kits', [], [], [], ['CONTENT_TYPE' => 'application/json', 'CONTENT_LENGTH' => '9000000'], str_repeat('a', 9000))
            ->assertStatus(400)->assertHeader('X-Content-Type-Options', 'nosniff');
        $this->getJson('/api/kits')->assertOk();
    }

    public function test_at_most_twenty_strange_keys_are_named(): void
    {
        $strange = [];
        for ($at = 0; $at < 300; $at++) {
            $strange["strange{$at}"] = $at;
        }
        $answer = $this->actAs('lead')->putJson('/api/stores/'.$this->ulid(), ['name' => 'Shed', 'place_id' => $this->kit('QH-01')->place_id] + $strange)->assertUnprocessable();
        $this->assertCount(20, $answer->json('errors'));
    }

    /** @return iterable<string, array{string}> */
    public static function unseen(): iterable
    {
        yield 'nothing' => ["Sh\0ed"];
        yield 'a bell' => ["Sh\u{7}ed"];
        yield 'an escape' => ["Sh\u{1B}[31med"];
        yield 'text from right to left' => ["Shed \u{202E}10-HQ"];
        yield 'an isolate' => ["Shed\u{2066}"];
        yield 'a mark of direction' => ["Shed\u{200F}"];
        yield 'the end of a line that is none' => ["Shed\u{2028}"];
    }

    #[DataProvider('unseen')]
    public function test_what_cannot_be_seen_is_in_no_text(string $text): void
    {
        $this->actAs('lead')->putJson('/api/stores/'.$this->ulid(), ['name' => $text, 'place_id' => $this->kit('QH-01')->place_id])->assertUnprocessable()
            ->assertJsonPath('errors.name.0', 'It holds a character that cannot be seen, or one that turns the direction of the text. Type it again.');
    }

    /** @return iterable<string, array{string, string}> */
    public static function queries(): iterable
    {
        yield 'a list' => ['/beside?one[]=x&one_in=list', 'errors.one.0'];
        yield 'a list within' => ['/kits?place[a][b]=x', 'errors.place.0'];
        yield 'text from right to left' => ['/kits?q=Shed%E2%80%AE10', 'errors.q.0'];
        yield 'no UTF-8' => ['/items?q=%E4', 'errors.q.0'];
        yield 'too long' => ['/find?q='.str_repeat('x', 5000), 'errors.q.0'];
        yield 'too many' => ['/kits?'.implode('&', array_map(static fn (int $at): string => "p{$at}=1", range(1, 60))).'&place[]=x', 'errors.query.0'];
        yield 'an edition as a list' => ['/kits/QH-01/adoption?edition[]=x', 'errors.edition.0'];
        yield 'a configuration as a list' => ['/kits/QH-01/configuration?to[]=x', 'errors.to.0'];
    }

    #[DataProvider('queries')]
    public function test_what_cannot_be_read_in_a_question_is_said_at_its_name(string $path, string $where): void
    {
        $this->assertIsString($this->actAs('lead')->getJson("/api{$path}")->assertUnprocessable()->json($where));
    }

    public function test_a_list_where_an_address_belongs_lets_nobody_in_and_breaks_nothing(): void
    {
        foreach ([['email' => ['a'], 'password' => 'x'], ['email' => 'a@b.example', 'password' => ['x']], ['email' => null, 'password' => 3]] as $sent) {
            $this->postJson('/api/session', $sent)->assertUnprocessable();
        }
    }

    public function test_other_scripts_and_several_lines_are_texts_like_any_other(): void
    {
        foreach (['Ärzteschrank Süd', '救急箱', 'ארון', "Two\nlines", 'Crème 10 µg', '👩‍🚒 locker'] as $name) {
            $this->actAs('lead')->putJson('/api/stores/'.$this->ulid(), ['name' => $name, 'place_id' => $this->kit('QH-01')->place_id])->assertOk();
        }
    }

    public function test_what_is_no_json_or_no_utf8_is_said_to_be_so(): void
    {
        foreach (["{\"name\": \"M\xE4rz\"}", '{"name": ', '[[[['.str_repeat('[', 60)] as $body) {
            $this->actAs('lead')->call('PUT', '/api/stores/'.$this->ulid(), [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body)
                ->assertStatus(400)->assertJsonPath('detail', 'This cannot be read as JSON in UTF-8. Nothing was saved.');
        }
    }

    public function test_numbers_that_are_none_and_lists_where_a_text_belongs_are_refused_at_their_field(): void
    {
        $plan = $this->actAs('keeper')->getJson('/api/kits/QH-07/restock')->json();
        $send = fn (mixed $quantity, mixed $reason = null): array => (array) $this->call(
            'PUT', '/api/kits/QH-07/restocks/'.$this->ulid(), [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            str_replace('"QUANTITY"', (string) $quantity, (string) json_encode([
                'store' => $plan['store'], 'begun_at' => now()->toIso8601ZuluString(), 'base' => $plan['base'], 'out' => [], 'seal_reason' => $reason,
                'in' => [['pocket_id' => $plan['in'][0]['pocket_id'], 'lot_id' => $plan['in'][0]['lot_id'], 'quantity' => 'QUANTITY']],
            ])),
        )->assertUnprocessable()->json('errors');
        foreach (['1e308', '-1', '1.5', '99999999999999999999', '"two"', 'null', '[1]', 'true'] as $quantity) {
            $this->assertArrayHasKey('in.0.quantity', $send($quantity), $quantity);
        }
        $this->assertArrayHasKey('seal_reason', $send(1, ['a', 'b']));
    }

    public function test_a_keeper_takes_the_file_of_their_own_kits_and_no_sheet(): void
    {
        $this->actAs('keeper')->get('/api/kits/QH-07/file')->assertOk();
        $this->getJson('/api/kits/QH-01/file')->assertForbidden();
        foreach (['/api/exports/catalogue', '/api/kits?format=csv', '/api/to-buy?format=csv', '/api/items?format=csv', '/api/lists?format=csv'] as $path) {
            $this->getJson($path)->assertForbidden();
            $this->actAs('auditor')->getJson($path)->assertOk();
            $this->actAs('keeper');
        }
    }

    public function test_ten_changes_of_areas_are_said_in_a_day_and_none_by_an_auditor(): void
    {
        $area = Assessment::query()->orderBy('started_on', 'desc')->firstOrFail()->areas()->firstOrFail();
        $this->actAs('auditor')->postJson("/api/areas/{$area->id}/changes", ['what' => 'Seen'])->assertForbidden();
        $this->actAs('member');
        for ($time = 1; $time <= 10; $time++) {
            $this->postJson("/api/areas/{$area->id}/changes", ['what' => "Seen {$time}"])->assertOk();
        }
        $this->postJson("/api/areas/{$area->id}/changes", ['what' => 'Seen again'])->assertUnprocessable()
            ->assertJsonPath('errors.what.0', fn (string $why): bool => str_contains($why, '10 areas today'));
        $this->actAs('keeper')->postJson("/api/areas/{$area->id}/changes", ['what' => 'Seen too'])->assertOk();
    }
}
