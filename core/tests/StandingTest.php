<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Advice\Move;
use Sarcina\Core\Advice\Renewal;
use Sarcina\Core\Advice\Standing;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Lists\Rank;

/** What counts as worse while a kit is restocked: the verdict, what any rank of lines lacks, totals; companions and mass apart. */
final class StandingTest extends TestCase
{
    private const ITEMS = [
        ['code' => 'pad', 'class' => 'pad', 'mass_g' => 20, 'dated' => true],
        ['code' => 'gauze', 'class' => 'gauze', 'mass_g' => 10, 'needs' => [['any_of' => ['shears'], 'per' => 'kit', 'quantity' => 1]]],
        ['code' => 'shears', 'class' => 'tool', 'mass_g' => 50],
        ['code' => 'water', 'class' => 'water', 'mass_g' => 10, 'size' => ['volume' => '100 ml']],
    ];

    /** @return iterable<string, array{list<array<string, mixed>>, list<array<string, mixed>>, bool}> what is there, what is there then, whether that is no worse */
    public static function changes(): iterable
    {
        $all = ['pad' => 2, 'gauze' => 1, 'shears' => 1, 'water' => 2];
        yield 'the same' => [self::rows($all), self::rows($all), true];
        yield 'one more of everything' => [self::rows($all), self::rows(['pad' => 3, 'gauze' => 2, 'shears' => 1, 'water' => 3]), true];
        yield 'a critical piece fewer' => [self::rows($all), self::rows(['pad' => 1] + $all), false];
        yield 'an optional piece fewer, where the verdict is the same' => [
            self::rows(['pad' => 0, 'gauze' => 2] + $all), self::rows(['pad' => 0] + $all), false,
        ];
        yield 'a measure fewer' => [self::rows(['pad' => 0] + $all), self::rows(['pad' => 0, 'water' => 1] + $all), false];
        yield 'a required piece fewer' => [self::rows(['pad' => 0] + $all), self::rows(['pad' => 0, 'shears' => 0] + $all), false];
    }

    /**
     * @param  list<array<string, mixed>>  $was
     * @param  list<array<string, mixed>>  $then
     */
    #[DataProvider('changes')]
    public function test_what_is_worse(array $was, array $then, bool $isNoWorse): void
    {
        $this->assertSame($isNoWorse, self::standing($then)->isNoWorseThan(self::standing($was)));
    }

    public function test_a_reserve_that_leaves_is_worse_though_the_line_is_as_short(): void
    {
        $expired = [...self::rows(['gauze' => 1, 'shears' => 1, 'water' => 2]), ['item' => 'pad', 'quantity' => 2, 'expires' => '2026-01']];
        $kept = self::standing($expired, 'reserve', 'required');
        $gone = self::standing(array_slice($expired, 0, 3), 'reserve', 'required');
        $this->assertTrue($kept->isNoWorseThan($gone));
        $this->assertFalse($gone->isNoWorseThan($kept));
    }

    public function test_the_verdict_of_who_fares_worst_is_taken(): void
    {
        $judgement = Judge::judge(self::kit(self::rows(['pad' => 2, 'gauze' => 1, 'shears' => 1, 'water' => 2])));
        $this->assertSame(Verdict::Ready, Standing::of($judgement)->verdict);
        $this->assertSame(Verdict::Limited, Standing::of($judgement, Verdict::Limited)->verdict);
        $this->assertFalse(Standing::of($judgement, Verdict::Limited)->isNoWorseThan(Standing::of($judgement)));
    }

    public function test_which_lines_are_counted_before_a_check_shows_a_status(): void
    {
        $this->assertSame(['P', 'S', 'W'], Judge::judge(self::kit([]))->linesToCountFirst(), 'the optional line is not waited for');
        $this->assertSame(['P', 'G'], Judge::judge(self::kit([], rank: 'optional', lines: 2))->linesToCountFirst(), 'where all are optional, all are');
    }

    public function test_companions_and_mass_encumber_only_where_they_did_not_before(): void
    {
        $fine = self::standing(self::rows(['pad' => 2, 'shears' => 1, 'water' => 2]));
        $alone = self::standing(self::rows(['pad' => 2, 'gauze' => 1, 'water' => 2]));
        $heavy = self::standing(self::rows(['pad' => 9, 'shears' => 1, 'water' => 2]));
        $this->assertSame([0, 1, false, true], [$fine->unpaired, $alone->unpaired, $fine->isOverweight, $heavy->isOverweight]);
        $this->assertTrue($alone->isEncumberedBeside($fine));
        $this->assertTrue($heavy->isEncumberedBeside($fine));
        $this->assertFalse($fine->isEncumberedBeside($alone));
        $this->assertFalse($alone->isEncumberedBeside($alone));
        $this->assertFalse($heavy->isEncumberedBeside($heavy));
    }

    public function test_the_turn_and_kind_of_a_move(): void
    {
        $say = static fn (Move $move): array => [$move->isIn, $move->turn, $move->isOptional];
        $this->assertSame([true, 0, true], $say(Move::in(1, null)));
        $this->assertSame([true, 1, false], $say(Move::in(1, Rank::Critical)));
        $this->assertSame([true, 2, false], $say(Move::in(1, Rank::Required)));
        $this->assertSame([true, 3, true], $say(Move::in(1, Rank::Optional)));
        $this->assertSame([true, 0, false], $say(Move::in(1, Rank::Critical, true)));
        $this->assertSame([false, 4, false], $say(Move::out(1)));
    }

    public function test_picks_of_several_days_renew_the_earliest_first(): void
    {
        $this->assertSame([0, 2], Renewal::of(0, [5, 7], [[3, 2], [null, 2]]));
        $this->assertSame([0, 0], Renewal::of(0, [], [[3, 2], [null, 2]]), 'Nothing expires early: nothing is worth it.');
        $this->assertSame([1, 2], Renewal::of(2, [4], [[9, 1], [3, 2]]), 'The two that expire first fill, the third renews.');
    }

    /** @param  list<array<string, mixed>>  $rows */
    private static function standing(array $rows, string $expiry = 'strict', string $rank = 'critical'): Standing
    {
        return Standing::of(Judge::judge(self::kit($rows, $expiry, $rank)));
    }

    /** @param  list<array<string, mixed>>  $rows */
    private static function kit(array $rows, string $expiry = 'strict', string $rank = 'critical', int $lines = 4): \Sarcina\Core\Check\Assignment
    {
        $line = static fn (string $id, string $rank, int $quantity, string $item): array => [
            'id' => $id, 'rank' => $rank, 'quantity' => $quantity, 'accepts' => [['item' => $item]],
        ];

        return RandomKits::read([
            'format' => 'sarcina.kit/1', 'as_of' => '2026-03-14', 'kit' => ['code' => 'Q', 'max_mass_g' => 200],
            'policy' => ['expiry' => $expiry, 'next_check' => '2026-06-14'], 'items' => self::ITEMS,
            'list' => ['code' => 'l', 'lines' => array_slice([
                $line('P', $rank, 2, 'pad'), $line('G', 'optional', 2, 'gauze'), $line('S', 'required', 1, 'shears'),
                ['id' => 'W', 'rank' => 'required', 'total' => ['volume' => '200 ml'], 'accepts' => [['item' => 'water']]],
            ], 0, $lines)],
            'contents' => $rows,
        ]);
    }

    /**
     * @param  array<string, int>  $pieces
     * @return list<array<string, mixed>>
     */
    private static function rows(array $pieces): array
    {
        $rows = [];
        foreach (array_filter($pieces) as $item => $quantity) {
            $rows[] = ['item' => $item, 'quantity' => $quantity] + ($item === 'pad' ? ['expires' => '2030-01'] : []);
        }

        return $rows;
    }
}
