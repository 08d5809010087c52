<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Rule;

/** Clauses of the check rule that the worked cases leave out, each on the smallest kit that shows it. */
final class ClausesTest extends TestCase
{
    private const PAD = [
        'code' => 'pad', 'class' => 'dressing.sterile', 'dated' => true, 'mass_g' => 20,
        'size' => ['width' => '10 cm', 'height' => '20 cm'],
    ];

    private const TAPE = ['code' => 'tape', 'class' => 'tape', 'size' => ['length' => '5 m']];

    public function test_a_class_takes_itself_and_what_is_below_it_and_nothing_that_only_looks_alike(): void
    {
        $items = [];
        $contents = [];
        foreach (['dressing', 'dressing.sterile', 'dressing-x', 'dressings', 'wound.dressing'] as $class) {
            $items[] = ['code' => $class, 'class' => $class];
            $contents[] = ['item' => $class, 'quantity' => 1];
        }
        $verdict = $this->judge($items, [['id' => 'L', 'quantity' => 5, 'accepts' => [['class' => 'dressing']]]], $contents);
        $this->assertEqualsCanonicalizing(['dressing', 'dressing.sterile'], array_column($verdict['lines'][0]['placed'], 'item'));
        $this->assertEqualsCanonicalizing(['dressing-x', 'dressings', 'wound.dressing'], array_column($this->found($verdict, 'surplus'), 'item'));
    }

    public function test_width_and_height_may_be_turned_also_where_only_one_is_named(): void
    {
        $least = fn (array $min, array $size): int => $this->judge(
            [['code' => 'pad', 'class' => 'pad', 'size' => (object) $size]],
            [['id' => 'L', 'quantity' => 1, 'accepts' => [['class' => 'pad', 'min' => $min]]]],
            [['item' => 'pad', 'quantity' => 1]],
        )['lines'][0]['effective'];
        $this->assertSame(1, $least(['width' => '20 cm'], ['width' => '10 cm', 'height' => '20 cm']));
        $this->assertSame(1, $least(['height' => '10 cm'], ['width' => '10 cm']));
        $this->assertSame(0, $least(['width' => '10 cm', 'height' => '10 cm'], ['width' => '10 cm']));
        $this->assertSame(0, $least(['width' => '20 cm', 'height' => '20 cm'], ['width' => '10 cm', 'height' => '20 cm']));
        $this->assertSame(0, $least(['length' => '10 cm'], ['width' => '10 cm', 'height' => '20 cm']));
        $this->assertSame(0, $least(['width' => '10 g'], ['width' => '10 cm']));
        $this->assertSame(1, $least(['width' => '4 in', 'length' => '24 in'], ['length' => '36 in', 'height' => '10.16 cm']));
    }

    public function test_a_line_is_restocked_with_the_first_that_is_named_and_may_be_bought(): void
    {
        $items = [
            ['code' => 'old', 'class' => 'pad', 'superseded_by' => 'pad'],
            ['code' => 'deep', 'class' => 'pad', 'scope' => 'clinician'], ['code' => 'pad', 'class' => 'pad'],
        ];
        $restock = fn (array ...$accepts): array => $this->judge($items, [['id' => 'L', 'quantity' => 2, 'accepts' => $accepts]], [])['restock'][0];
        $this->assertSame('pad', $restock(['class' => 'pad'], ['item' => 'old'], ['item' => 'deep'], ['item' => 'pad'])['item']);
        $this->assertSame('unknown', $restock(['item' => 'unknown'])['item'], 'It is not among the items, and is named all the same.');
        $this->assertSame('old', $restock(['item' => 'old'], ['item' => 'deep'])['item'], 'Failing any that may be bought, the first that is named.');
        $this->assertNull($restock(['class' => 'pad'])['item']);
        $this->assertSame('pad', $restock(['class' => 'pad'])['class']);
    }

    public function test_an_item_may_need_one_thing_for_the_kit_and_another_for_each_piece(): void
    {
        $items = [
            [
                'code' => 'needle', 'class' => 'needle',
                'needs' => [['any_of' => ['box'], 'per' => 'kit', 'quantity' => 1], ['any_of' => ['swab', 'wipe'], 'per' => 'each', 'quantity' => 2]],
            ],
            ['code' => 'box', 'class' => 'box'], ['code' => 'swab', 'class' => 'swab'], ['code' => 'wipe', 'class' => 'wipe'],
        ];
        $lines = [['id' => 'L', 'quantity' => 2, 'accepts' => [['item' => 'needle']]]];
        $unpaired = fn (array ...$rows): int => count($this->found(
            $this->judge($items, $lines, [['item' => 'needle', 'quantity' => 2], ...$rows]),
            'unpaired',
        ));
        $this->assertSame(1, $unpaired(['item' => 'box', 'quantity' => 1], ['item' => 'swab', 'quantity' => 3]));
        $this->assertSame(0, $unpaired(['item' => 'box', 'quantity' => 1], ['item' => 'swab', 'quantity' => 3], ['item' => 'wipe', 'quantity' => 1]));
        $this->assertSame(1, $unpaired(['item' => 'swab', 'quantity' => 4]));
        $this->assertSame(1, $unpaired(), 'Once an item, however much it lacks.');
    }

    public function test_a_row_is_good_while_it_is_neither_past_its_date_nor_in_a_bad_condition(): void
    {
        $good = static fn (?string $expires, string $condition): bool => RandomKits::read([
            'format' => 'sarcina.kit/1', 'as_of' => '2026-03-14', 'kit' => ['code' => 'K'], 'policy' => ['expiry' => 'strict', 'next_check' => '2026-06-14'],
            'items' => [self::TAPE], 'list' => ['code' => 'small', 'lines' => []], 'contents' => [[
                'item' => 'tape', 'quantity' => 1, 'expires' => $expires, 'condition' => $condition,
            ]],
        ])->contents[0]->isGoodOn(Day::of('2026-03-14'));
        $this->assertSame(
            [true, true, false, false, false],
            [$good(null, 'good'), $good('2026-03-14', 'good'), $good('2026-03-13', 'good'), $good(null, 'soiled'), $good('2026-03-13', 'soiled')],
        );
    }

    public function test_of_two_verdicts_the_graver_one_is_worse(): void
    {
        $order = [Verdict::Ready, Verdict::ReadyWithActions, Verdict::NoRequirement, Verdict::Limited, Verdict::NotChecked, Verdict::NotReady];
        foreach ($order as $place => $verdict) {
            foreach ($order as $other => $compared) {
                $this->assertSame($place > $other, $verdict->isWorseThan($compared));
            }
        }
    }

    public function test_a_date_counts_on_an_undated_item_too(): void
    {
        $verdict = $this->judge(
            [self::TAPE],
            [['id' => 'L', 'quantity' => 1, 'accepts' => [['item' => 'tape']]]],
            [['item' => 'tape', 'quantity' => 1, 'expires' => '2026-03-13']],
        );
        $this->assertSame([['not_ready', 1]], [[$verdict['verdict'], count($this->found($verdict, 'expired'))]]);
    }

    public function test_what_is_not_good_is_found_in_its_condition_only(): void
    {
        $contents = [
            ['item' => 'pad', 'quantity' => 1, 'expires' => '2020-01', 'condition' => 'soiled'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'failed'],
        ];
        $verdict = $this->judge([self::PAD], [$this->pads(1)], $contents);
        $this->assertEqualsCanonicalizing(['short', 'soiled', 'failed', 'mostly_missing'], array_column($verdict['findings'], 'kind'));
    }

    public function test_what_is_excluded_says_its_condition_and_its_scope_too(): void
    {
        $item = ['code' => 'cream', 'class' => 'medicine.cream', 'scope' => 'clinician', 'superseded_by' => 'gel'];
        $verdict = $this->judge(
            [$item],
            [$this->pads(1)],
            [['item' => 'cream', 'quantity' => 2, 'condition' => 'opened']],
            ['list' => ['excludes' => ['medicine']]],
        );
        $this->assertEqualsCanonicalizing(['short', 'opened', 'excluded', 'beyond_scope', 'superseded', 'mostly_missing'], array_column($verdict['findings'], 'kind'));
    }

    public function test_good_through_the_next_check_and_its_margin_is_not_early(): void
    {
        $early = fn (string $expires): array => array_column(
            $this->found(
                $this->judge(
                    [self::PAD],
                    [$this->pads(1)],
                    [['item' => 'pad', 'quantity' => 1, 'expires' => $expires]],
                    ['policy' => ['margin_days' => 16]],
                ),
                'expires_early',
            ),
            'severity',
        );
        $this->assertSame([], $early('2026-06'));
        $this->assertSame([], $early('2026-06-30'));
        $this->assertSame(['fix'], $early('2026-06-29'));
    }

    public function test_a_total_adds_up_what_counts_and_is_restocked_to_last(): void
    {
        $short = ['code' => 'short-roll', 'class' => 'tape', 'size' => ['length' => '2 m'], 'superseded_by' => 'tape'];
        $line = ['id' => 'T', 'total' => ['length' => '12 m'], 'accepts' => [['item' => 'short-roll'], ['item' => 'tape'], ['class' => 'tape']]];
        $contents = [
            ['item' => 'tape', 'quantity' => 2], ['item' => 'tape', 'quantity' => 1, 'expires' => '2026-05'], ['item' => 'tape', 'quantity' => 9, 'expires' => '2026-02'],
            ['item' => 'short-roll', 'quantity' => 3, 'condition' => 'damaged'],
        ];
        $verdict = $this->judge([$short, self::TAPE], [$line], $contents, ['policy' => ['expiry' => 'reserve']]);
        $this->assertSame(
            ['12 m', '15 m', null, '0 m'],
            [$verdict['lines'][0]['required'], $verdict['lines'][0]['effective'], $verdict['lines'][0]['reserve'], $verdict['lines'][0]['short']],
        );
        $this->assertSame([0, 1], array_column($verdict['lines'][0]['placed'], 'row'));
        $this->assertSame(
            [['line' => 'T', 'item' => 'tape', 'quantity' => 1]],
            $verdict['restock'],
            'The roll that runs out in May does not bring it up to what is asked.',
        );
        $this->assertSame('fix', $this->found($verdict, 'expires_early')[0]['severity']);
        $this->assertSame([], $this->found($verdict, 'surplus'));
        $this->assertSame('ready_with_actions', $verdict['verdict']);
    }

    public function test_a_short_total_limits_the_kit_by_its_rank(): void
    {
        $verdicts = [];
        foreach (['critical', 'required', 'optional'] as $rank) {
            $verdicts[] = $this->judge(
                [self::TAPE],
                [['id' => 'T', 'rank' => $rank, 'total' => ['length' => '6 m'], 'accepts' => [['item' => 'tape']]]],
                [['item' => 'tape', 'quantity' => 1]],
            )['verdict'];
        }
        $this->assertSame(['not_ready', 'limited', 'ready'], $verdicts);
    }

    public function test_an_optional_line_never_limits_and_a_required_one_does_only_after_reserve(): void
    {
        $expired = [['item' => 'pad', 'quantity' => 2, 'expires' => '2026-01']];
        $verdict = $this->judge([self::PAD], [$this->pads(3, 'optional')], $expired, ['policy' => ['expiry' => 'reserve']]);
        $this->assertSame(['ready_with_actions', 2, 3], [$verdict['verdict'], $verdict['lines'][0]['reserve'], $verdict['lines'][0]['short']]);
        $this->assertSame('limited', $this->judge([self::PAD], [$this->pads(3)], $expired, ['policy' => ['expiry' => 'reserve']])['verdict']);
        $this->assertSame(
            'ready_with_actions',
            $this->judge([self::PAD], [$this->pads(2)], $expired, ['policy' => ['expiry' => 'reserve']])['verdict'],
        );
        $this->assertSame('not_ready', $this->judge([self::PAD], [$this->pads(2)], $expired)['verdict'], 'Nothing else is asked for, and nothing is there.');
    }

    public function test_a_kit_of_which_more_than_half_is_gone_is_not_ready_whatever_its_ranks(): void
    {
        $lines = static fn (int $required): array => [
            ...array_map(static fn (int $n): array => ['id' => "R{$n}", 'quantity' => 1, 'accepts' => [['item' => "r{$n}"]]], range(1, $required)),
            ['id' => 'O', 'quantity' => 1, 'rank' => 'optional', 'accepts' => [['item' => 'o']]],
        ];
        $items = array_map(static fn (string $code): array => ['code' => $code, 'class' => 'thing'], ['r1', 'r2', 'r3', 'r4', 'o']);
        $one = static fn (string ...$codes): array => array_map(static fn (string $code): array => ['item' => $code, 'quantity' => 1], $codes);
        $verdicts = fn (int $required, array $rows): string => $this->judge($items, $lines($required), $rows)['verdict'];
        $this->assertSame('limited', $verdicts(4, $one('r1', 'r2')), 'Half of it is not more than half.');
        $this->assertSame('not_ready', $verdicts(4, $one('r1', 'o')));
        $this->assertSame('not_ready', $verdicts(3, $one('r1')));
        $this->assertSame('not_ready', $verdicts(4, []), 'An empty bag.');
        $optional = [['id' => 'O', 'quantity' => 1, 'rank' => 'optional', 'accepts' => [['item' => 'o']]]];
        $this->assertSame('ready', $this->judge($items, $optional, [])['verdict'], 'Where nothing is required, nothing of it is gone.');
    }

    public function test_companions_per_kit_are_asked_once_and_per_each_are_added_up_by_their_set(): void
    {
        $torch = fn (string $code, string $per, int $quantity): array => [
            'code' => $code, 'class' => 'torch',
            'needs' => [['any_of' => ['cell'], 'per' => $per, 'quantity' => $quantity]],
        ];
        $cell = ['code' => 'cell', 'class' => 'cell'];
        $lines = [['id' => 'L', 'quantity' => 2, 'accepts' => [['class' => 'torch']]]];
        $unpaired = fn (array $one, array $other, int $cells): array => array_column(
            $this->found(
                $this->judge(
                    [$one, $other, $cell],
                    $lines,
                    [
                        ['item' => $one['code'], 'quantity' => 1], ['item' => $other['code'], 'quantity' => 1],
                        ['item' => 'cell', 'quantity' => $cells],
                    ],
                ),
                'unpaired',
            ),
            'item',
        );
        $this->assertSame([], $unpaired($torch('a', 'kit', 2), $torch('b', 'kit', 3), 3), 'Per kit is not added up.');
        $this->assertSame(['b'], $unpaired($torch('a', 'kit', 2), $torch('b', 'kit', 3), 2));
        $this->assertSame([], $unpaired($torch('a', 'each', 2), $torch('b', 'kit', 3), 3), 'What is per kit is apart from what is per each.');
        $this->assertEqualsCanonicalizing(['a', 'b'], $unpaired($torch('a', 'each', 2), $torch('b', 'each', 3), 4));
        $this->assertSame([], $unpaired($torch('a', 'each', 2), $torch('b', 'each', 3), 5));
    }

    public function test_an_item_without_effective_pieces_asks_for_nothing_and_a_lacking_one_stops_where_a_critical_line_accepts_it(): void
    {
        $needle = ['code' => 'needle', 'class' => 'needle', 'needs' => [['any_of' => ['box'], 'per' => 'kit', 'quantity' => 1]]];
        $lines = [['id' => 'L', 'quantity' => 1, 'rank' => 'optional', 'accepts' => [['item' => 'needle']]]];
        $this->assertSame(
            [],
            $this->found($this->judge([$needle], $lines, [['item' => 'needle', 'quantity' => 1, 'condition' => 'damaged']]), 'unpaired'),
        );
        $this->assertSame('fix', $this->found($this->judge([$needle], $lines, [['item' => 'needle', 'quantity' => 1]]), 'unpaired')[0]['severity']);
        $lines[] = ['id' => 'C', 'quantity' => 1, 'rank' => 'critical', 'accepts' => [['item' => 'elsewhere'], ['class' => 'needle']]];
        $verdict = $this->judge([$needle], $lines, [['item' => 'needle', 'quantity' => 2]]);
        $this->assertSame(['stop', 'not_ready'], [$this->found($verdict, 'unpaired')[0]['severity'], $verdict['verdict']]);
    }

    public function test_the_mass_is_of_all_rows_and_may_be_just_what_is_allowed(): void
    {
        $contents = [
            ['item' => 'pad', 'quantity' => 2, 'expires' => '2029-01'],
            ['item' => 'pad', 'quantity' => 1, 'condition' => 'damaged', 'expires' => '2029-01'],
        ];
        $mass = fn (int $most): array => $this->judge(
            [self::PAD],
            [$this->pads(2)],
            $contents,
            ['kit' => ['empty_mass_g' => 100, 'max_mass_g' => $most]],
        );
        $this->assertSame([160, []], [$mass(160)['mass_g'], $this->found($mass(160), 'overweight')]);
        $this->assertSame([['kind' => 'overweight', 'severity' => 'fix']], $this->found($mass(159), 'overweight'));
    }

    public function test_surplus_is_said_once_an_item_and_never_of_what_cannot_count(): void
    {
        $contents = [
            ['item' => 'pad', 'quantity' => 2, 'expires' => '2029-01'],
            ['item' => 'pad', 'quantity' => 2, 'expires' => '2030-01'],
            ['item' => 'tape', 'quantity' => 1, 'condition' => 'opened'],
        ];
        $this->assertSame(['pad'], array_column($this->found($this->judge([self::PAD, self::TAPE], [$this->pads(1)], $contents), 'surplus'), 'item'));
    }

    public function test_a_critical_line_takes_pieces_from_a_required_one_only_as_far_as_it_must(): void
    {
        $other = ['code' => 'other', 'class' => 'dressing.sterile'];
        $lines = [$this->pads(2), ['id' => 'C', 'quantity' => 2, 'rank' => 'critical', 'accepts' => [['item' => 'pad'], ['item' => 'other']]]];
        $verdict = $this->judge(
            [self::PAD, $other],
            $lines,
            [['item' => 'pad', 'quantity' => 3, 'expires' => '2029-01'], ['item' => 'other', 'quantity' => 1]],
        );
        $this->assertSame([2, 2, 'ready'], [$verdict['lines'][0]['effective'], $verdict['lines'][1]['effective'], $verdict['verdict']]);
    }

    public function test_a_large_number_of_pieces_is_placed_at_once(): void
    {
        $verdict = $this->judge(
            [self::PAD],
            [$this->pads(900_000_000), ['id' => 'M', 'quantity' => 5, 'accepts' => [['item' => 'pad']]]],
            [['item' => 'pad', 'quantity' => 900_000_005, 'expires' => '2029-01']],
        );
        $this->assertSame(['ready', 18_000_000_100], [$verdict['verdict'], $verdict['mass_g']]);
    }

    /** @return array<string, mixed> */
    private function pads(int $quantity, string $rank = 'required'): array
    {
        return ['id' => 'P', 'quantity' => $quantity, 'rank' => $rank, 'accepts' => [['item' => 'pad']]];
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, mixed>>  $contents
     * @param  array<string, array<string, mixed>>  $more
     * @return array<string, mixed>
     */
    private function judge(array $items, array $lines, array $contents, array $more = []): array
    {
        return Rule::Check->answer(Json::write([
            'format' => 'sarcina.kit/1', 'as_of' => '2026-03-14',
            'kit' => ['code' => 'QH-03', ...$more['kit'] ?? []],
            'policy' => ['expiry' => 'strict', 'next_check' => '2026-06-14', ...$more['policy'] ?? []],
            'items' => $items, 'list' => ['code' => 'made', 'lines' => $lines, ...$more['list'] ?? []], 'contents' => $contents,
        ]));
    }

    /**
     * @param  array<string, mixed>  $verdict
     * @return list<array<string, mixed>>
     */
    private function found(array $verdict, string $kind): array
    {
        return array_values(array_filter($verdict['findings'], static fn (array $finding): bool => $finding['kind'] === $kind));
    }
}
