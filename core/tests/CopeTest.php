<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Rule;

/** The rule `cope` beside a count over all sets of needs: what a set asks for may not exceed what any of it accepts (Hall). */
final class CopeTest extends TestCase
{
    public function test_it_agrees_with_a_count_over_all_sets_of_needs(): void
    {
        mt_srand(20261128);
        $seen = ['none' => 0, 'some' => 0, 'most' => 0, 'several in the way' => 0];
        for ($round = 0; $round < 600; $round++) {
            [$items, $needs] = self::emergency();
            $document = self::document($items, $needs);
            $answer = Rule::Cope->answer(Json::write($document))['emergencies'];
            $this->assertIsArray($answer);
            $this->assertIsArray($answer[0]);
            $casualties = self::counted($items, $needs);
            $this->assertSame($casualties, $answer[0]['casualties'], Json::write($document));
            $inTheWay = $casualties === 999 ? [] : self::inTheWay($items, $needs, $casualties + 1);
            $this->assertSame($inTheWay, $answer[0]['limited_by'], Json::write($document));
            $seen[$casualties === 0 ? 'none' : ($casualties === 999 ? 'most' : 'some')]++;
            $seen['several in the way'] += count($inTheWay) > 1 ? 1 : 0;
        }
        foreach ($seen as $what => $times) {
            $this->assertGreaterThan(20, $times, $what);
        }
    }

    public function test_more_of_anything_is_never_worse_and_the_order_of_what_is_accepted_does_not_matter(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            [$items, $needs] = self::emergency();
            $before = self::casualties($items, $needs);
            $this->assertSame($before, self::casualties($items, array_map(static fn (array $need): array => [...$need, 'takes' => array_reverse($need['takes'])], $needs)));
            $items[mt_rand(0, count($items) - 1)] += mt_rand(1, 5);
            $this->assertGreaterThanOrEqual($before, self::casualties($items, $needs));
        }
    }

    /**
     * @param  list<int>  $items
     * @param  list<array{quantity: int, reusable: bool, takes: list<int>}>  $needs
     */
    private static function casualties(array $items, array $needs): int
    {
        $answer = Rule::Cope->answer(Json::write(self::document($items, $needs)));

        return is_array($answer['emergencies']) && is_array($answer['emergencies'][0]) && is_int($answer['emergencies'][0]['casualties']) ? $answer['emergencies'][0]['casualties'] : -1;
    }

    /** @return array{list<int>, list<array{quantity: int, reusable: bool, takes: list<int>}>} pieces by item, and needs */
    private static function emergency(): array
    {
        $many = mt_rand(0, 9) === 0 ? 100_000 : 0;
        $items = array_map(static fn (): int => mt_rand(0, 12) + $many, range(1, mt_rand(1, 6)));
        $needs = [];
        foreach (range(1, mt_rand(1, 5)) as $_) {
            $takes = array_values(array_filter(array_keys($items), static fn (): bool => mt_rand(0, 2) > 0));
            $needs[] = ['quantity' => mt_rand(1, 4), 'reusable' => mt_rand(0, 3) === 0, 'takes' => $takes === [] ? [0] : $takes];
        }
        $needs[mt_rand(0, count($needs) - 1)]['reusable'] = false;

        return [$items, $needs];
    }

    /**
     * @param  list<int>  $items
     * @param  list<array{quantity: int, reusable: bool, takes: list<int>}>  $needs
     * @return array<string, mixed>
     */
    private static function document(array $items, array $needs): array
    {
        return [
            'format' => 'sarcina.cope/1', 'as_of' => '2026-11-28', 'kit' => (object) [],
            'items' => array_map(static fn (int $item): array => ['code' => "item-{$item}", 'class' => 'made'], array_keys($items)),
            'contents' => array_values(array_filter(array_map(
                static fn (int $item, int $pieces): array => ['item' => "item-{$item}", 'quantity' => $pieces], array_keys($items), $items,
            ), static fn (array $row): bool => $row['quantity'] > 0)),
            'emergencies' => [['code' => 'made', 'needs' => array_map(static fn (array $need, int $at): array => [
                'id' => "need-{$at}", 'quantity' => $need['quantity'], 'reusable' => $need['reusable'],
                'accepts' => array_map(static fn (int $item): array => ['item' => "item-{$item}"], $need['takes']),
            ], $needs, array_keys($needs))]],
        ];
    }

    /**
     * @param  list<int>  $items
     * @param  list<array{quantity: int, reusable: bool, takes: list<int>}>  $needs
     */
    private static function counted(array $items, array $needs): int
    {
        for ($casualties = 1; $casualties <= 999; $casualties++) {
            foreach (self::excesses($items, $needs, $casualties) as $excess) {
                if ($excess > 0) {
                    return $casualties - 1;
                }
            }
        }

        return 999;
    }

    /**
     * @param  list<int>  $items
     * @param  list<array{quantity: int, reusable: bool, takes: list<int>}>  $needs
     * @return list<string> of the sets that exceed by most, the smallest
     */
    private static function inTheWay(array $items, array $needs, int $casualties): array
    {
        $excesses = self::excesses($items, $needs, $casualties);
        $best = array_keys($excesses, max($excesses), true);
        usort($best, static fn (int $one, int $other): int => substr_count(decbin($one), '1') <=> substr_count(decbin($other), '1'));
        $ids = [];
        foreach (array_keys($needs) as $need) {
            if (($best[0] >> $need & 1) === 1) {
                $ids[] = "need-{$need}";
            }
        }

        return $ids;
    }

    /**
     * @param  list<int>  $items
     * @param  list<array{quantity: int, reusable: bool, takes: list<int>}>  $needs
     * @return non-empty-array<int, int> by how much each set of needs, a bit for each, asks for more than it accepts
     */
    private static function excesses(array $items, array $needs, int $casualties): array
    {
        $excesses = [0 => 0];
        for ($set = 1; $set < 1 << count($needs); $set++) {
            $demand = 0;
            $accepted = [];
            foreach ($needs as $at => $need) {
                if (($set >> $at & 1) === 1) {
                    $demand += $need['quantity'] * ($need['reusable'] ? 1 : $casualties);
                    $accepted += array_flip($need['takes']);
                }
            }
            $excesses[$set] = $demand - array_sum(array_intersect_key($items, $accepted));
        }

        return $excesses;
    }
}
