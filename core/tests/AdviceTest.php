<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Advice\Action;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Advice\Advised;
use Sarcina\Core\Advice\Leaving;
use Sarcina\Core\Advice\Wanted;
use Sarcina\Core\Check\Judge;

/** From findings to what is to be done, each on the smallest kit that shows it. */
final class AdviceTest extends TestCase
{
    private const PAD = ['code' => 'pad', 'class' => 'pad', 'dated' => true];

    private const GAUZE = ['code' => 'gauze', 'class' => 'gauze', 'needs' => [['any_of' => ['shears', 'knife'], 'per' => 'kit', 'quantity' => 2]]];

    private const TOOLS = [['code' => 'shears', 'class' => 'tool'], ['code' => 'knife', 'class' => 'tool']];

    public function test_each_finding_has_its_action(): void
    {
        $rows = [
            ['item' => 'pad', 'quantity' => 1, 'expires' => '2026-01'],
            ['item' => 'pad', 'quantity' => 1],
            ['item' => 'pad', 'quantity' => 1, 'expires' => '2026-05'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'opened', 'expires' => '2030-01'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'damaged', 'expires' => '2030-01'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'soiled', 'expires' => '2030-01'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'failed', 'expires' => '2030-01'],
            ['item' => 'pills', 'quantity' => 1],
            ['item' => 'probe', 'quantity' => 1],
            ['item' => 'old', 'quantity' => 1],
            ['item' => 'gauze', 'quantity' => 1],
        ];
        $items = [
            self::PAD, self::GAUZE, ...self::TOOLS, ['code' => 'pills', 'class' => 'medicine', 'mass_g' => 900],
            ['code' => 'probe', 'class' => 'probe', 'scope' => 'clinician'], ['code' => 'old', 'class' => 'old', 'superseded_by' => 'pad'],
        ];
        $found = $this->advice($items, [$this->line('L', 3, 'pad')], $rows, ['max_mass_g' => 100])->findings();
        $actions = array_map(static fn (Advised $advised): string => "{$advised->finding->kind->value} {$advised->action->value}", $found);
        $this->assertEqualsCanonicalizing([
            'short restock', 'expired restock', 'date_unknown check', 'expires_early restock', 'opened restock', 'damaged restock', 'soiled restock', 'failed restock',
            'excluded remove', 'beyond_scope people', 'superseded leave', 'surplus leave', 'surplus leave', 'unpaired restock', 'overweight remove',
        ], $actions);
    }

    public function test_surplus_is_what_no_line_took_of_sound_pieces_in_date(): void
    {
        $rows = [
            ['item' => 'pad', 'quantity' => 3, 'expires' => '2030-01'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'damaged', 'expires' => '2030-01'],
            ['item' => 'shears', 'quantity' => 2],
        ];
        $advice = $this->advice([self::PAD, ...self::TOOLS], [$this->line('L', 2, 'pad')], $rows);
        $this->assertSame([[0, 1, true], [2, 2, true]], array_map(
            static fn (Leaving $one): array => [$one->index, $one->pieces, $one->toStore], $advice->surplus(),
        ), 'One pad beyond the line, and both shears, which no line asks for.');
        $this->assertSame([], $this->advice([self::PAD], [$this->line('L', 3, 'pad')], [$rows[0]])->surplus());
    }

    public function test_sound_pieces_that_nobody_here_may_use_are_not_bought_again(): void
    {
        $items = [['code' => 'probe', 'class' => 'probe', 'dated' => true, 'scope' => 'clinician'], ['code' => 'pin', 'class' => 'probe']];
        $lines = [['id' => 'L', 'quantity' => 4, 'accepts' => [['item' => 'probe'], ['item' => 'pin']]]];
        $sound = ['item' => 'probe', 'quantity' => 2, 'expires' => '2030-01'];
        $wanted = fn (array ...$rows): array => $this->said($this->advice($items, $lines, $rows)->wanted());
        $this->assertSame(['L 2 pin'], $wanted($sound), 'Two are there, for somebody else.');
        $this->assertSame(['L 2 pin'], $wanted($sound, ['condition' => 'damaged'] + $sound, ['expires' => '2026-01'] + $sound, ['item' => 'probe', 'quantity' => 2]));
        $this->assertSame(['L 4 pin'], $wanted(['condition' => 'soiled'] + $sound));
        $this->assertSame([], $wanted($sound, ['expires' => '2031-01'] + $sound));
        $short = fn (array ...$rows): array => array_values(array_filter(array_map(
            static fn (Advised $one): ?string => $one->finding->kind->value === 'short' ? $one->action->value : null,
            $this->advice($items, $lines, $rows)->findings(),
        )));
        $this->assertSame([['restock'], ['people']], [$short($sound), $short($sound, ['expires' => '2031-01'] + $sound)]);
    }

    public function test_an_early_row_that_no_line_counts_on_stays(): void
    {
        $rows = [['item' => 'pad', 'quantity' => 1, 'expires' => '2030-01'], ['item' => 'pad', 'quantity' => 1, 'expires' => '2026-05']];
        $advice = $this->advice([self::PAD], [$this->line('L', 1, 'pad')], $rows);
        $this->assertSame([Action::Leave, Action::Leave], array_map(static fn (Advised $advised): Action => $advised->action, $advice->findings()));
        $this->assertSame([], $advice->leaving());
        $this->assertFalse($advice->wantsRestock());
        $this->assertSame([], $advice->wanted());
    }

    public function test_what_leaves_goes_to_a_store_only_where_it_is_still_good(): void
    {
        $rows = [
            ['item' => 'pad', 'quantity' => 2, 'expires' => '2026-05'],
            ['item' => 'pad', 'quantity' => 1, 'expires' => '2026-01'],
            ['item' => 'pills', 'quantity' => 1, 'expires' => '2030-01'],
            ['item' => 'pills', 'quantity' => 1, 'expires' => '2026-01'],
            ['item' => 'pills', 'quantity' => 1, 'condition' => 'soiled'],
            ['item' => 'pad', 'quantity' => 1],
        ];
        $leaving = $this->advice([self::PAD, ['code' => 'pills', 'class' => 'medicine']], [$this->line('L', 2, 'pad')], $rows)->leaving();
        $this->assertSame(
            ['0 expires_early store', '1 expired out', '2 excluded store', '3 expired out', '4 soiled out', '5 date_unknown out'],
            array_map(static fn (Leaving $one): string => "{$one->index} {$one->because->value} ".($one->toStore ? 'store' : 'out'), $leaving),
        );
        $this->assertSame($leaving[0]->row->quantity, 2);
    }

    public function test_critical_lines_come_first_then_companions(): void
    {
        $lines = [
            $this->line('L1', 1, 'pad'), [...$this->line('L2', 2, 'gauze'), 'rank' => 'critical'],
            [...$this->line('L3', 1, 'shears'), 'rank' => 'optional'],
        ];
        $wanted = $this->advice([self::PAD, self::GAUZE, ...self::TOOLS], $lines, [])->wanted();
        // Two of shears or knife are needed beside the gauze that is put in; one pair of shears comes for its line.
        $this->assertSame(['L2 2 gauze critical', 'L1 1 pad', 'L3 1 shears', '- 1 shears for gauze'], $this->said($wanted));
    }

    public function test_a_companion_that_may_not_be_bought_gives_way_to_the_next_and_brings_its_own(): void
    {
        $items = [
            self::GAUZE,
            ['code' => 'shears', 'class' => 'tool', 'superseded_by' => 'knife'],
            ['code' => 'knife', 'class' => 'tool', 'needs' => [['any_of' => ['sheath'], 'per' => 'each', 'quantity' => 1]]],
            ['code' => 'sheath', 'class' => 'sheath', 'needs' => [['any_of' => ['strap'], 'per' => 'each', 'quantity' => 1]]],
        ];
        $wanted = $this->advice($items, [$this->line('L', 1, 'gauze')], [['item' => 'gauze', 'quantity' => 1]])->wanted();
        $this->assertSame(['- 2 knife for gauze', '- 2 sheath for knife', '- 2 strap for sheath'], $this->said($wanted));
    }

    public function test_items_that_ask_for_one_another_without_end_are_asked_a_few_times_and_no_more(): void
    {
        $items = [
            ['code' => 'gauze', 'class' => 'gauze', 'needs' => [['any_of' => ['pin'], 'per' => 'each', 'quantity' => 2]]],
            ['code' => 'pin', 'class' => 'pin', 'needs' => [['any_of' => ['gauze'], 'per' => 'each', 'quantity' => 2]]],
        ];
        $wanted = $this->advice($items, [$this->line('L', 1, 'gauze')], [['item' => 'gauze', 'quantity' => 1]])->wanted();
        $this->assertSame('- 2 pin for gauze', $this->said($wanted)[0]);
        $this->assertLessThan(8, count($wanted));
    }

    public function test_companions_of_what_leaves_are_not_wanted(): void
    {
        $rows = [['item' => 'gauze', 'quantity' => 1, 'expires' => '2026-05']];
        $wanted = $this->advice(
            [self::GAUZE, ['code' => 'wrap', 'class' => 'gauze'], ...self::TOOLS],
            [['id' => 'L', 'quantity' => 1, 'accepts' => [['item' => 'wrap'], ['item' => 'gauze']]]],
            $rows,
        )->wanted();
        $this->assertSame(['L 1 wrap'], $this->said($wanted));
    }

    public function test_pieces_that_nobody_there_may_use_are_not_bought_again(): void
    {
        $items = [['code' => 'pad', 'class' => 'pad', 'scope' => 'trained', 'dated' => true]];
        $rows = [
            ['item' => 'pad', 'quantity' => 2, 'expires' => '2026-01'],
            ['item' => 'pad', 'quantity' => 2, 'expires' => '2030-01'], ['item' => 'pad', 'quantity' => 1],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'soiled', 'expires' => '2030-01'],
        ];
        $three = $this->advice($items, [$this->line('L', 3, 'pad')], $rows);
        $this->assertSame([], $this->said($three->wanted()), 'And what nobody may use is not bought.');
        $this->assertSame(Action::People, $three->findings()[0]->action);
        $two = $this->advice($items, [$this->line('L', 2, 'pad')], $rows);
        $this->assertSame([], $two->wanted());
        $this->assertSame(Action::People, $two->findings()[0]->action);
        // Where people may use them they count, and nothing is short.
        $this->assertSame([], $this->advice($items, [$this->line('L', 2, 'pad')], $rows, ['scope' => 'trained'])->wanted());
    }

    public function test_a_note_alone_asks_for_no_restock(): void
    {
        $optional = [...$this->line('L', 1, 'pad'), 'rank' => 'optional'];
        $this->assertFalse($this->advice([self::PAD], [$optional], [])->wantsRestock());
        $this->assertTrue($this->advice([self::PAD], [$this->line('L', 1, 'pad')], [])->wantsRestock());
    }

    /**
     * @param  list<Wanted>  $wanted
     * @return list<string>
     */
    private function said(array $wanted): array
    {
        return array_map(static fn (Wanted $want): string => trim(($want->line->id ?? '-')." {$want->pieces} {$want->item}".($want->isCritical ? ' critical' : '')
            .($want->companion === null ? '' : ' for '.implode(' ', $want->companion->for))), $wanted);
    }

    /** @return array<string, mixed> */
    private function line(string $id, int $quantity, string $item): array
    {
        return ['id' => $id, 'quantity' => $quantity, 'accepts' => [['item' => $item]]];
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, mixed>>  $rows
     * @param  array<string, mixed>  $kit
     */
    private function advice(array $items, array $lines, array $rows, array $kit = []): Advice
    {
        return new Advice(Judge::judge(RandomKits::read([
            'format' => 'sarcina.kit/1',
            'as_of' => '2026-03-14',
            'kit' => ['code' => 'QH-03', ...$kit],
            'policy' => ['expiry' => 'strict', 'next_check' => '2026-06-14'],
            'items' => $items,
            'list' => ['code' => 'small', 'excludes' => ['medicine'], 'lines' => $lines],
            'contents' => $rows,
        ])));
    }
}
