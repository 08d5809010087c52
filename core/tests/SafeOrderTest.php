<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Advice\HeldBack;
use Sarcina\Core\Advice\Move;
use Sarcina\Core\Advice\Renewal;
use Sarcina\Core\Advice\SafeOrder;
use Sarcina\Core\Advice\Standing;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Lists\Rank;

/** The order of a restock: whoever stops after whatever step leaves the kit no worse than it was. */
final class SafeOrderTest extends TestCase
{
    private const PAD = ['code' => 'pad', 'class' => 'pad', 'dated' => true, 'mass_g' => 20];

    private const GAUZE = ['code' => 'gauze', 'class' => 'gauze', 'mass_g' => 10, 'needs' => [['any_of' => ['shears'], 'per' => 'kit', 'quantity' => 1]]];

    private const SHEARS = ['code' => 'shears', 'class' => 'tool', 'mass_g' => 50];

    public function test_the_only_critical_piece_leaves_after_its_replacement_is_in(): void
    {
        $kit = $this->kit([self::PAD], [['id' => 'L', 'quantity' => 1, 'rank' => 'critical', 'accepts' => [['item' => 'pad']]]], [
            ['item' => 'pad', 'quantity' => 1, 'expires' => '2026-04'],
        ]);
        $this->assertSame([['in', 'pad', 1], ['out', 'pad', 1]], $this->steps($kit, ['pad' => '2030-01'])[0]);
        $this->assertSame([[], [['out', 'pad', 1, HeldBack::StillCounts]]], $this->steps($kit, []), 'Nothing replaces it: it stays.');
    }

    public function test_companions_come_first_then_critical_lines_and_what_leaves_last(): void
    {
        $same = Standing::of(Judge::judge($this->kit([self::PAD], [['id' => 'L', 'quantity' => 1, 'accepts' => [['item' => 'pad']]]], [])));
        $moves = [
            Move::out(1), Move::in(1, Rank::Optional), Move::in(1, Rank::Required), Move::in(2, Rank::Critical), Move::in(1, null),
            Move::in(1, Rank::Required, true),
        ];
        $this->assertSame([[4, 1], [5, 1], [3, 2], [2, 1], [1, 1], [0, 1]], SafeOrder::of($moves, static fn (): Standing => $same)->steps);
    }

    public function test_each_pocket_is_opened_once_and_the_one_with_the_most_pressing_moves_first(): void
    {
        $same = Standing::of(Judge::judge($this->kit([self::PAD], [['id' => 'L', 'quantity' => 1, 'accepts' => [['item' => 'pad']]]], [])));
        $moves = [
            Move::out(1, 1), Move::in(1, Rank::Optional, pocket: 1), Move::in(1, Rank::Required, pocket: 2),
            Move::in(2, Rank::Critical, pocket: 3), Move::in(1, Rank::Required, pocket: 1), Move::out(1, 3),
        ];
        $this->assertSame([[3, 2], [5, 1], [4, 1], [1, 1], [0, 1], [2, 1]], SafeOrder::of($moves, static fn (): Standing => $same)->steps);
    }

    public function test_a_pocket_waits_for_the_one_that_holds_its_companion(): void
    {
        $lines = [
            ['id' => 'G', 'quantity' => 1, 'rank' => 'critical', 'accepts' => [['item' => 'gauze']]],
            ['id' => 'S', 'quantity' => 1, 'accepts' => [['item' => 'shears']]],
        ];
        $kit = $this->kit([self::GAUZE, self::SHEARS], $lines, []);
        [$moves, $rows] = $this->moves($kit, ['gauze' => [null, 9], 'shears' => [null, 9]]);
        // Of gauze in the first pocket and shears in the second.
        $placed = array_map(static fn (int $at): Move => Move::in(
            $moves[$at]->pieces, $rows[$at][1]->item->code === 'gauze' ? Rank::Critical : Rank::Required, $rows[$at][1]->item->code === 'shears',
            pocket: $rows[$at][1]->item->code === 'gauze' ? 1 : 2,
        ), array_keys($moves));
        $order = SafeOrder::of($placed, fn (array $done): Standing => Standing::of(Judge::judge($this->with($kit, $placed, $rows, $done))));
        $this->assertSame(['shears', 'gauze'], array_map(static fn (array $step): string => $rows[$step[0]][1]->item->code, $order->steps));
        $this->assertSame([], $order->held);
    }

    public function test_of_three_pieces_as_many_leave_as_are_replaced(): void
    {
        $kit = $this->kit([self::PAD], [['id' => 'L', 'quantity' => 3, 'accepts' => [['item' => 'pad']]]], [
            ['item' => 'pad', 'quantity' => 3, 'expires' => '2026-04'],
        ]);
        [$steps, $held] = $this->steps($kit, ['pad' => '2030-01'], 2);
        $this->assertSame([['in', 'pad', 2], ['out', 'pad', 2]], $steps);
        $this->assertSame([['out', 'pad', 1, HeldBack::StillCounts]], $held);
    }

    public function test_a_companion_comes_before_what_needs_it_and_without_it_an_optional_piece_is_not_advised(): void
    {
        $lines = [
            ['id' => 'P', 'quantity' => 1, 'accepts' => [['item' => 'pad']]],
            ['id' => 'G', 'quantity' => 1, 'rank' => 'optional', 'accepts' => [['item' => 'gauze']]],
        ];
        $kit = $this->kit([self::PAD, self::GAUZE, self::SHEARS], $lines, [['item' => 'pad', 'quantity' => 1, 'expires' => '2030-01']]);
        $this->assertSame([['in', 'shears', 1], ['in', 'gauze', 1]], $this->steps($kit, ['gauze' => null, 'shears' => null])[0]);
        $this->assertSame([[], [['in', 'gauze', 1, HeldBack::NoCompanion]]], $this->steps($kit, ['gauze' => null]));
    }

    public function test_an_optional_piece_that_makes_the_kit_too_heavy_is_not_advised(): void
    {
        $lines = [
            ['id' => 'P', 'quantity' => 1, 'accepts' => [['item' => 'pad']]],
            ['id' => 'S', 'quantity' => 1, 'rank' => 'optional', 'accepts' => [['item' => 'shears']]],
        ];
        $good = ['item' => 'pad', 'quantity' => 1, 'expires' => '2030-01'];
        $heavy = [[], [['in', 'shears', 1, HeldBack::Overweight]]];
        $this->assertSame($heavy, $this->steps($this->kit([self::PAD, self::SHEARS], $lines, [$good], 60), ['shears' => null]));
        // Also where something else is amiss already, so that the verdict is no worse for it.
        $soiled = ['item' => 'pad', 'quantity' => 1, 'expires' => '2030-01', 'condition' => 'soiled'];
        [$steps, $held] = $this->steps($this->kit([self::PAD, self::SHEARS], $lines, [$good, $soiled], 60), ['shears' => null]);
        $this->assertSame([['out', 'pad', 1]], $steps);
        $this->assertSame($heavy[1], $held);
    }

    public function test_after_whatever_step_the_kit_is_no_worse_than_before(): void
    {
        $random = new RandomKits(71);
        [$orders, $again] = [0, 0];
        for ($round = 0; $round < 10_000; $round++) {
            $kit = RandomKits::read($random->document());
            [$moves, $rows] = $this->moves($kit, $this->store($kit, $random), static fn (): int => $random->pick([1, 2, 3]));
            $stand = fn (array $done): Standing => Standing::of(Judge::judge($this->with($kit, $moves, $rows, $done)));
            $order = SafeOrder::of($moves, $stand);
            $verdict = $was = Judge::judge($kit)->verdict;
            $done = [];
            foreach ($order->steps as [$place, $pieces]) {
                $done[$place] = ($done[$place] ?? 0) + $pieces;
                $now = Judge::judge($this->with($kit, $moves, $rows, $done))->verdict;
                $this->assertFalse($now->isWorseThan($was), "round {$round}: {$verdict->value}, then {$now->value}");
                $was = $now;
            }
            $orders += count($order->steps) > 1 ? 1 : 0;
            $again += self::visits($moves, $order->steps) > count(array_unique(array_map(
                static fn (array $step): int => $moves[$step[0]]->pocket, $order->steps,
            ))) ? 1 : 0;
            $told = $done;
            foreach ($order->held as [$place, $pieces]) {
                $told[$place] = ($told[$place] ?? 0) + $pieces;
            }
            ksort($told);
            $this->assertSame(array_map(static fn (Move $move): int => $move->pieces, $moves), $told, 'Each piece is in a step or held back.');
        }
        $this->assertGreaterThan(2_000, $orders, 'There was something to put in order.');
        $this->assertLessThan($orders / 50, $again, 'A pocket is opened twice only where each order of pockets would leave the kit worse.');
    }

    public function test_what_expires_no_later_is_not_put_in_for_it(): void
    {
        $this->assertSame([0], Renewal::of(0, [100], [[100, 1]]));
        $this->assertSame([1], Renewal::of(0, [100], [[101, 1]]));
        $this->assertSame([2], Renewal::of(0, [100, 200], [[null, 3]]), 'What never expires renews each once.');
        $this->assertSame([1, 1], Renewal::of(0, [10, 40], [[30, 1], [50, 1]]), 'As many as can be are renewed.');
        $this->assertSame([1, 0], Renewal::of(1, [40], [[20, 1], [30, 1]]), 'What is lacking is put in whatever it lasts.');
    }

    /**
     * @param  array<string, string|null>  $store  items that it has, with their dates
     * @return array{list<array{string, string, int}>, list<array{string, string, int, HeldBack}>}
     */
    private function steps(Assignment $kit, array $store, int $most = 9): array
    {
        $shelf = array_map(static fn (?string $date): array => [$date, $most], $store);
        [$moves, $rows] = $this->moves($kit, $shelf);
        $order = SafeOrder::of($moves, fn (array $done): Standing => Standing::of(Judge::judge($this->with($kit, $moves, $rows, $done))));
        $say = static fn (int $place, int $pieces): array => [$moves[$place]->isIn ? 'in' : 'out', $rows[$place][1]->item->code, $pieces];

        return [
            array_map(static fn (array $step): array => $say(...$step), $order->steps),
            array_map(static fn (array $held): array => [...$say($held[0], $held[1]), $held[2]], $order->held),
        ];
    }

    /**
     * Counts how often a pocket is opened.
     *
     * @param  list<Move>  $moves
     * @param  list<array{int, int}>  $steps
     */
    private static function visits(array $moves, array $steps): int
    {
        [$visits, $open] = [0, null];
        foreach ($steps as [$place]) {
            $visits += $moves[$place]->pocket === $open ? 0 : 1;
            $open = $moves[$place]->pocket;
        }

        return $visits;
    }

    /**
     * What the core advises, as far as the store has it.
     *
     * @param  array<string, array{string|null, int}>  $store  by item: its date and how many
     * @param  (callable(): int)|null  $pocket
     * @return array{list<Move>, list<array{int|null, Row}>} and the row that each takes from, null where it puts in, with what it moves
     */
    private function moves(Assignment $kit, array $store, ?callable $pocket = null): array
    {
        $advice = new Advice(Judge::judge($kit));
        $items = array_column($kit->items, null, 'code');
        $moves = $rows = [];
        foreach ($advice->wanted() as $want) {
            [$date, $there] = $store[$want->item] ?? [null, 0];
            $pieces = min($want->pieces, $there);
            if ($want->item !== null && $pieces > 0 && isset($items[$want->item])) {
                $store[$want->item][1] -= $pieces;
                $moves[] = Move::in($pieces, $want->line?->rank, pocket: $pocket === null ? 0 : $pocket());
                $rows[] = [null, new Row(null, $items[$want->item], null, $date === null ? null : PrintedDate::of($date), $pieces, Condition::Good)];
            }
        }
        foreach ([...$advice->leaving(), ...$advice->surplus()] as $leaving) {
            $moves[] = Move::out($leaving->pieces, $pocket === null ? 0 : $pocket());
            $rows[] = [$leaving->index, $leaving->row];
        }

        return [$moves, $rows];
    }

    /**
     * The kit after so many pieces of each move.
     *
     * @param  list<Move>  $moves
     * @param  list<array{int|null, Row}>  $rows
     * @param  array<int, int>  $done
     */
    private function with(Assignment $kit, array $moves, array $rows, array $done): Assignment
    {
        $contents = $kit->contents;
        foreach ($done as $place => $pieces) {
            [$from, $row] = $rows[$place];
            $becomes = $from === null ? $pieces : $contents[$from]->quantity - $pieces;
            $contents[$from ?? 1000 + $place] = new Row($row->pocket, $row->item, $row->lot, $row->expires, $becomes, $row->condition, $row->openedOn);
        }
        $there = array_values(array_filter($contents, static fn (Row $row): bool => $row->quantity > 0));

        return new Assignment($kit->asOf, $kit->kit, $kit->policy, $kit->items, $kit->list, $there);
    }

    /** @return array<string, array{string|null, int}> */
    private function store(Assignment $kit, RandomKits $random): array
    {
        $store = [];
        foreach ($kit->items as $item) {
            if (! $random->chance(3)) {
                $store[$item->code] = [$random->pick(['2026-05', '2027-01', '2030-01', ...($item->dated ? [] : [null])]), $random->pick([1, 2, 9])];
            }
        }

        return $store;
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, mixed>>  $rows
     */
    private function kit(array $items, array $lines, array $rows, ?int $maxMass = null): Assignment
    {
        return RandomKits::read([
            'format' => 'sarcina.kit/1', 'as_of' => '2026-03-14', 'kit' => ['code' => 'Q', ...($maxMass === null ? [] : ['max_mass_g' => $maxMass])],
            'policy' => ['expiry' => 'strict', 'next_check' => '2026-06-14', 'margin_days' => 14], 'items' => $items,
            'list' => ['code' => 'l', 'lines' => $lines], 'contents' => $rows,
        ]);
    }
}
