<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Rule;

/** What a kit document is refused for, and where the error points. */
final class FormatTest extends TestCase
{
    private const KIT = [
        'format' => 'sarcina.kit/1',
        'as_of' => '2026-03-14',
        'kit' => ['code' => 'QH-03'],
        'policy' => ['expiry' => 'strict', 'next_check' => '2026-06-14'],
        'items' => [
            ['code' => 'tape', 'class' => 'tape', 'size' => ['length' => '5 m']],
            ['code' => 'pad', 'class' => 'dressing.sterile'],
        ],
        'list' => ['code' => 'small', 'lines' => [
            ['id' => 'L1', 'quantity' => 2, 'accepts' => [['item' => 'pad']]],
            ['id' => 'L2', 'total' => ['length' => '9 m'], 'accepts' => [['item' => 'tape']]],
        ]],
        'contents' => [['item' => 'pad', 'quantity' => 2]],
    ];

    /** @return iterable<string, array{string, mixed, list<string>}> what is set where, and the paths that are refused */
    public static function refused(): iterable
    {
        yield 'a missing key' => ['policy/next_check', null, ['/policy/next_check']];
        yield 'a quantity of nothing' => ['contents/0/quantity', 0, ['/contents/0/quantity']];
        yield 'a quantity that is no whole number' => ['contents/0/quantity', 1.5, ['/contents/0/quantity']];
        yield 'a number as text' => ['contents/0/quantity', '2', ['/contents/0/quantity']];
        yield 'a huge count' => ['contents/0/quantity', 9_000_000_000_000_000_000, ['/contents/0/quantity']];
        yield 'a negative mass' => ['items/0/mass_g', -1, ['/items/0/mass_g']];
        yield 'an item not in items' => ['contents/0/item', 'gauze', ['/contents/0/item']];
        yield 'a code given twice' => ['items/2', ['code' => 'tape', 'class' => 'tape', 'size' => ['length' => '5 m']], ['/items/2/code']];
        yield 'a line id given twice' => ['list/lines/1/id', 'L1', ['/list/lines/1/id']];
        yield 'a condition that is not known' => ['contents/0/condition', 'fair', ['/contents/0/condition']];
        yield 'a scope that is not known' => ['kit/scope', 'doctor', ['/kit/scope']];
        yield 'a rank that is not known' => ['list/lines/0/rank', 'vital', ['/list/lines/0/rank']];
        yield 'a line with both' => ['list/lines/1/quantity', 1, ['/list/lines/1']];
        yield 'a total of nothing' => ['list/lines/1/total', ['length' => '0 m'], ['/list/lines/1/total/length']];
        yield 'a total of two measures' => ['list/lines/1/total', ['length' => '1 m', 'width' => '1 m'], ['/list/lines/1/total']];
        yield 'a total in another dimension' => ['list/lines/1/total', ['length' => '5 g'], ['/list/lines/1/accepts']];
        yield 'a total that no item has' => ['list/lines/1/total', ['width' => '5 cm'], ['/list/lines/1/accepts']];
        yield 'a total by class alone' => ['list/lines/1/accepts', [['class' => 'tape']], ['/list/lines/1/accepts']];
        yield 'a total that more pieces make up than there can be' => ['items/0/size/length', '0.000000001 mm', ['/list/lines/1/total']];
        yield 'least measures with an item' => ['list/lines/0/accepts/0/min', ['width' => '1 cm'], ['/list/lines/0/accepts/0/min']];
        yield 'an entry with both' => ['list/lines/0/accepts/0/class', 'dressing', ['/list/lines/0/accepts/0']];
        yield 'a measure with two spaces' => ['items/0/size/length', '5  m', ['/items/0/size/length']];
        yield 'a measure below nothing' => ['items/0/size/length', '-5 m', ['/items/0/size/length']];
        yield 'an empty list for an object' => ['items/0/size', [], ['/items/0/size']];
        yield 'a day that is no text' => ['as_of', 20260314, ['/as_of']];
        yield 'a companion of no item' => ['items/0/needs', [['any_of' => [], 'per' => 'kit', 'quantity' => 1]], ['/items/0/needs/0/any_of']];
        yield 'a key with a slash in it' => ['kit/a~b', 1, ['/kit/a~0b']];
    }

    /** @param  list<string>  $paths */
    #[DataProvider('refused')]
    public function test_it_is_refused(string $at, mixed $value, array $paths): void
    {
        $document = self::KIT;
        $place = &$document;
        $steps = explode('/', $at);
        $last = array_pop($steps);
        foreach ($steps as $step) {
            $place = &$place[$step];
        }
        if ($value === null) {
            unset($place[$last]);
        } else {
            $place[$last] = $value;
        }
        $this->assertSame($paths, self::errors((string) json_encode($document)));
    }

    public function test_the_whole_document_is_taken(): void
    {
        $this->assertSame([], self::errors((string) json_encode(self::KIT)));
    }

    public function test_all_errors_are_told_at_once(): void
    {
        $document = self::KIT;
        $document['as_of'] = '2026-13-01';
        $document['contents'][0]['quantity'] = 0;
        unset($document['list']['code']);
        $this->assertEqualsCanonicalizing(['/as_of', '/contents/0/quantity', '/list/code'], self::errors((string) json_encode($document)));
    }

    public function test_more_mass_than_can_be_added_up_is_refused_at_the_row_that_is_too_much(): void
    {
        $document = self::KIT;
        $document['items'][1]['mass_g'] = 1_000_000_000;
        $document['kit']['empty_mass_g'] = 1_000_000_000;
        $document['contents'] = array_map(
            static fn (int $row): array => ['item' => 'pad', 'lot' => "K{$row}", 'quantity' => 1_000_000_000],
            range(0, 8),
        );
        $this->assertSame([], self::errors((string) json_encode($document)));
        $document['contents'][] = ['item' => 'pad', 'quantity' => 1_000_000_000];
        $document['contents'][] = ['item' => 'pad', 'lot' => 'last', 'quantity' => 0];
        $this->assertSame(
            ['/contents/9/quantity', '/contents/10/quantity'],
            self::errors((string) json_encode($document)),
            'What comes after it is read too.',
        );
    }

    public function test_a_need_that_lacks_its_keys_does_not_hide_the_next_one(): void
    {
        $document = self::KIT;
        $document['items'][0]['needs'] = [['any_of' => ['pad'], 'per' => 'kit'], ['any_of' => ['pad', 'pad'], 'per' => 'kit', 'quantity' => 0]];
        $this->assertSame(
            ['/items/0/needs/0/quantity', '/items/0/needs/1/any_of/1', '/items/0/needs/1/quantity'],
            self::errors((string) json_encode($document)),
        );
    }

    /** @return iterable<string, array{string, mixed, list<string>}> what is put before all others, after it something else that is wrong */
    public static function listed(): iterable
    {
        yield 'items' => ['items', ['code' => 'last', 'class' => ''], ['/items/0', '/items/1/class']];
        yield 'companions' => ['items/1/needs', ['any_of' => ['pad'], 'per' => 'kit', 'quantity' => 0], [
            '/items/1/needs/0', '/items/1/needs/1/quantity',
        ]];
        yield 'lines' => ['list/lines', ['id' => 'L9', 'quantity' => 0, 'accepts' => [['item' => 'pad']]], [
            '/list/lines/0', '/list/lines/1/quantity',
        ]];
        yield 'what serves a line' => ['list/lines/0/accepts', ['item' => 'pad', 'class' => 'dressing'], [
            '/list/lines/0/accepts/0', '/list/lines/0/accepts/1',
        ]];
        yield 'contents' => ['contents', ['item' => 'pad', 'quantity' => 0], ['/contents/0', '/contents/1/quantity']];
    }

    /** @param  list<string>  $paths */
    #[DataProvider('listed')]
    public function test_an_entry_that_is_none_does_not_hide_the_next_one(string $at, mixed $wrong, array $paths): void
    {
        $document = self::KIT;
        $place = &$document;
        foreach (explode('/', $at) as $step) {
            $place = &$place[$step];
        }
        $place = ['no entry', $wrong, ...(array) $place];
        $errors = self::errors((string) json_encode($document));
        $this->assertSame($paths, array_values(array_intersect($errors, $paths)), implode(', ', $errors));
    }

    public function test_a_key_given_twice_is_refused(): void
    {
        $twice = str_replace('"item":"pad","quantity":2', '"item":"pad","quantity":2,"quantity":9', (string) json_encode(self::KIT));
        $this->assertSame(['/contents/0/quantity'], self::errors($twice));
    }

    public function test_what_is_no_json_is_refused(): void
    {
        $nested = static fn (int $depth): string => str_repeat('[', $depth).str_repeat(']', $depth);
        $this->assertStringContainsString('This must be an object', self::messages($nested(63)));
        $this->assertStringContainsString('This is not JSON', self::messages($nested(64)), 'Nested too deep to be anything of ours.');
        $this->assertSame(
            [],
            self::errors(str_replace('"code":"small"', '"code":"a \\" b: \"c\":"', (string) json_encode(self::KIT))),
            'What looks like a key within text is none.',
        );
        $this->assertSame([''], self::errors('{"format": '));
        $this->assertSame([''], array_slice(self::errors('[]'), 0, 1));
    }

    private static function messages(string $text): string
    {
        try {
            Rule::Check->answer($text);
        } catch (InvalidDocument $invalid) {
            return $invalid->getMessage();
        }

        return '';
    }

    /** @return list<string> the paths that are refused */
    private static function errors(string $text): array
    {
        try {
            Rule::Check->answer($text);
        } catch (InvalidDocument $invalid) {
            return array_map(static fn (Problem $problem): string => $problem->path, $invalid->problems);
        }

        return [];
    }
}
