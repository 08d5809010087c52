<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Spelling;
use Tests\TestCase;

final class ReadingTest extends TestCase
{
    public function test_the_finder_finds_kits_items_places_and_lots(): void
    {
        $find = fn (string $text): array => array_map(
            static fn (array $found): array => [$found['kind'], $found['href']],
            $this->actAs('member')->getJson('/api/find?q='.rawurlencode($text))->assertOk()->json('found'),
        );
        $this->assertSame(['kit', '/kits/QH-07'], $find('qh-07')[0]);
        $this->assertSame(['kit', '/kits/QH-07'], $find('sarcina:kit/QH-07')[0]);
        $this->assertContains(['item', '/items/haemostatic-gauze'], $find('haemost'));
        $this->assertSame('place', $find('lantern meadow')[0][0]);
        $this->assertSame([['lot', '/items/haemostatic-gauze?lot=H4471']], $find('H4471'));
        $this->assertSame([], $find('%'));
        $this->assertSame([], $find('   '));
        foreach (['/api/find?q=desk', '/api/find?q=visitor%20box', '/api/find?q=q', '/api/find?q=%2B%2A%28%29%22', '/api/find?q=for%20a'] as $odd) {
            $this->getJson($odd)->assertOk();
        }
        $this->assertSame(['kit', '/kits/QH-01'], $find('desk visitor')[0] ?? null, 'Words in any order.');
        $this->assertContains(['kit', '/kits/QH-13'], $find('Walk pouch A'));
        $this->assertSame(['kit', '/kits/QH-01'], $find('desk visitr')[0] ?? null, 'One letter is missing.');
        $this->assertSame('place', $find('latnern meadow')[0][0] ?? null, 'Two letters are swapped.');
        $this->assertSame([], $find('lantren meadwo'.' xyzzy'));
        $this->getJson('/api/find?q='.str_repeat('x', 121))->assertUnprocessable();
    }

    public function test_the_finder_knows_the_words_of_a_new_kit_and_a_new_place_misspelt(): void
    {
        $this->actAs('lead');
        $this->assertSame([], Spelling::near('obsevatory'));
        $this->putJson("/api/places/{$this->ulid()}", ['name' => 'Observatory', 'kind' => 'building', 'parent_id' => null])->assertSuccessful();
        // The database's full-text index shows a row only after its transaction: the words are known at once.
        $this->assertSame(['observatory'], Spelling::near('obsevatory'));
    }

    public function test_a_kits_page_offers_the_same_action_first_as_today_and_the_list(): void
    {
        $this->actAs('lead');
        $seen = [];
        for ($page = 1; $page <= 5; $page++) {
            foreach ($this->getJson("/api/kits?page={$page}")->assertOk()->json('kits') as $row) {
                $this->app?->forgetScopedInstances();
                $this->assertSame($row['job'], $this->getJson("/api/kits/{$row['code']}")->assertOk()->json('job'), $row['code']);
                $seen[(string) $row['job']] = true;
            }
        }
        foreach ($this->getJson('/api/today')->assertOk()->json('work') as $work) {
            $this->assertSame($work['job'], $this->getJson("/api/kits/{$work['kit']}")->assertOk()->json('job') ?? 'check', $work['kit']);
        }
        $this->assertGreaterThan(2, count($seen), 'Several kinds of action.');
    }

    /** @return iterable<string, array{string, string}> words as a medic types them, and the item that leads */
    public static function searches(): iterable
    {
        yield 'the plain word' => ['scissors', 'scissors'];
        yield 'two words for one' => ['eye wash', 'eyewash-bottle'];
        yield 'another name' => ['plaster strip', 'plaster-washproof'];
        yield 'a name of another country' => ['ice pack', 'cold-pack'];
        yield 'a short other name before a long one' => ['sling', 'triangular-bandage'];
        yield 'words in another order' => ['dressing burn', 'burn-dressing-10'];
        yield 'a letter missing' => ['tourniqet', 'windlass-tourniquet'];
        yield 'two letters swapped' => ['tourniqeut', 'windlass-tourniquet'];
        yield 'a letter wrong' => ['haemostatik gauze', 'haemostatic-gauze'];
        yield 'a beginning' => ['tweez', 'tweezers'];
        yield 'the real one before the one for training' => ['tourniquet', 'windlass-tourniquet'];
        yield 'another spelling' => ['hemostatic', 'haemostatic-gauze'];
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('searches')]
    public function test_the_finder_leads_with_what_a_medic_expects(string $typed, string $item): void
    {
        $found = $this->actAs('member')->getJson('/api/find?q='.rawurlencode($typed))->assertOk()->json('found');
        $items = array_values(array_filter($found, static fn (array $one): bool => $one['kind'] === 'item'));
        $this->assertSame("/items/{$item}", $items[0]['href'] ?? null, $typed);
    }

    public function test_the_finder_knows_a_new_name_at_once_and_forgets_the_old_one(): void
    {
        $this->actAs('lead');
        $find = fn (string $text): array => array_column($this->getJson('/api/find?q='.rawurlencode($text))->assertOk()->json('found'), 'href');
        $this->assertNotContains('/items/whistle', $find('pipe'));
        \App\Catalogue\Models\Item::query()->where('code', 'whistle')->update(['name' => 'Signal pipe']);
        \App\Catalogue\ItemWords::index([(string) \App\Catalogue\Models\Item::query()->where('code', 'whistle')->value('id')]);
        $this->assertContains('/items/whistle', $find('pipe'));
        $this->assertNotContains('/items/whistle', array_slice($find('xyzzy'), 0));
    }

    public function test_an_item_says_what_it_needs_where_it_is_and_where_it_is_missing(): void
    {
        $torch = $this->actAs('member')->getJson('/api/items/hand-torch')->assertOk()->json();
        $this->assertSame(
            [['any_of' => ['Battery, AAA'], 'codes' => ['battery-aaa'], 'per' => 'each', 'quantity' => 2, 'reason' => 'It runs on two cells.']],
            $torch['needs'],
        );
        $this->assertContains('QH-10', array_column($torch['carried'], 'kit'));
        $large = $this->getJson('/api/items/dressing-large')->json();
        $this->assertContains('QH-10', $large['missing_in'], 'The only one there is soiled.');
        $gauze = collect($this->getJson('/api/items/haemostatic-gauze')->json('carried'))->firstWhere('lot', 'H4471');
        $this->assertSame('QH-07', $gauze['kit']);
    }

    public function test_starter_lists_are_unconfirmed_and_say_what_they_rest_on(): void
    {
        $lists = collect($this->actAs('auditor')->getJson('/api/lists')->assertOk()->json('lists'))->keyBy('code');
        $this->assertSame(
            ['starter', false, 'BS 8599-1:2019', '2019'],
            [
                $lists['bs-8599-1/medium']['origin'], $lists['bs-8599-1/medium']['confirmed'],
                $lists['bs-8599-1/medium']['basis'], $lists['bs-8599-1/medium']['edition'],
            ],
        );
        $this->assertSame(16, $lists['bs-8599-1/medium']['lines']);
        $classA = $this->getJson('/api/lists/'.$lists['ansi-z308-1/class-a']['id'])->assertOk()->json();
        $this->assertSame('2.5 yd in all', collect($classA['lines'])->firstWhere('need', 'Adhesive tape, in all')['required']);
        $this->assertSame(['medicine'], $this->getJson('/api/lists/'.$lists['tree-crew']['id'])->json('excludes'));
    }

    public function test_the_history_of_a_kit_goes_back_page_by_page_without_a_gap(): void
    {
        $this->actAs('auditor');
        $entries = [];
        $before = null;
        do {
            $page = $this->getJson('/api/kits/QH-03/history'.($before === null ? '' : "?before={$before}"))->assertOk()->json();
            array_push($entries, ...$page['entries']);
            $before = $page['before'];
        } while ($before !== null);
        $this->assertSame('Equipped', $entries[count($entries) - 1]['title']);
        $this->assertCount(10, array_filter($entries, static fn (array $entry): bool => $entry['kind'] === 'full_check'));
        $this->assertContains('use', array_column($entries, 'kind'));
        $times = array_column($entries, 'at');
        $sorted = $times;
        rsort($sorted);
        $this->assertSame($sorted, $times);
    }

    public function test_a_check_is_read_as_it_was_signed(): void
    {
        $id = $this->actAs('member')->readKit('QH-10')['last_check']['id'];
        $check = $this->getJson("/api/checks/{$id}")->assertOk()->json();
        $this->assertSame('Wrapper torn, coffee on it.', $check['note']);
        $soiled = collect($check['rows'])->firstWhere('condition', 'soiled');
        $this->assertSame([0, 1], [$soiled['recorded'], $soiled['counted']]);
        $this->assertMatchesRegularExpression('/^[0-9a-f]{64}$/', $check['hash']);
    }
}
