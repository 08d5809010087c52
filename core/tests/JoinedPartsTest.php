<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\JoinedParts;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\PartJudgement;
use Sarcina\Core\Check\Restock;
use Sarcina\Core\Check\Verdict;

/** A kit with modules: what its document says, and what each part lacks by itself. */
final class JoinedPartsTest extends TestCase
{
    public function test_a_kit_without_modules_is_what_its_document_says(): void
    {
        $judged = Judge::judge($this->kit([$this->line('L1', 2)], [['item' => 'pad', 'quantity' => 1]]));
        $this->assertSame($judged, JoinedParts::of($judged, []));
    }

    public function test_a_kit_whose_list_requires_nothing_is_never_called_ready_once_checks_are_asked_about(): void
    {
        $checked = ['last_full' => '2026-03-01', 'due_on' => null];
        foreach (['optional' => Verdict::NoRequirement, 'required' => Verdict::Ready, 'critical' => Verdict::Ready] as $rank => $verdict) {
            $kit = $this->kit([$this->line('L1', 1, $rank)], [['item' => 'pad', 'quantity' => 1]], $checked);
            $this->assertSame($verdict, Judge::judge($kit)->verdict, $rank);
        }
        $none = $this->kit([], [['item' => 'pad', 'quantity' => 1]], $checked);
        $this->assertSame(Verdict::NoRequirement, Judge::judge($none)->verdict, 'A list of no lines.');
    }

    public function test_what_lies_in_a_module_does_not_fill_the_lines_of_the_bag(): void
    {
        $whole = $this->whole([$this->line('L1', 2, 'critical')], [], [$this->line('M.L1', 2)], [['item' => 'pad', 'quantity' => 9]]);
        $this->assertSame(Verdict::NotReady, $whole->verdict);
        $this->assertSame(['L1' => [0, 2], 'M.L1' => [2, 0]], $this->counts($whole));
        $this->assertSame([['L1', 'the bag']], $this->shorts($whole));
        $this->assertSame([['L1', 2]], array_map(static fn (Restock $one): array => [$one->line, $one->quantity], $whole->restock));
        $this->assertSame([[0, 2]], array_map(static fn ($placed): array => [$placed->row, $placed->quantity], $whole->lines[1]->placed));
    }

    public function test_nor_do_pieces_of_the_bag_fill_those_of_a_module(): void
    {
        foreach (['critical' => Verdict::NotReady, 'required' => Verdict::Limited, 'optional' => Verdict::Ready] as $rank => $verdict) {
            $there = $rank === 'required' ? [['item' => 'pad', 'quantity' => 1]] : [];
            $whole = $this->whole([$this->line('L1', 1)], [['item' => 'pad', 'quantity' => 3]], [$this->line('M.L1', 2, $rank)], $there);
            // A surplus is noted, no more.
            $this->assertSame($verdict, $whole->verdict, $rank);
            $this->assertSame([['M.L1', 'the module']], $this->shorts($whole));
        }
    }

    public function test_a_module_that_was_emptied_stops_the_kit_however_full_the_bag_is(): void
    {
        $whole = $this->whole([$this->line('L1', 1)], [['item' => 'pad', 'quantity' => 9]], [$this->line('M.L1', 2)], []);
        $this->assertSame(Verdict::NotReady, $whole->verdict);
        $found = array_values(array_filter($whole->findings, static fn ($one): bool => $one->kind === FindingKind::MostlyMissing));
        $this->assertSame([[1, 1, 'the module']], array_map(static fn ($one): array => [$one->empty, $one->required, $one->part], $found));
    }

    public function test_what_the_whole_lacks_is_said_of_the_whole_unless_the_module_is_not_there(): void
    {
        [$bag, $module] = [[$this->line('L1', 1)], [$this->line('M.L1', 1)]];
        $this->assertSame([['L1', null], ['M.L1', null]], $this->shorts($this->whole($bag, [], $module, [])));
        $this->assertSame([['L1', null], ['M.L1', 'the module']], $this->shorts($this->whole($bag, [], $module, [], true)));
    }

    public function test_what_expired_is_kept_as_reserve_leaves_a_part_usable(): void
    {
        $row = ['item' => 'pad', 'quantity' => 2, 'expires' => '2026-01'];
        $whole = $this->whole([$this->line('L1', 1)], [['item' => 'pad', 'quantity' => 9, 'expires' => '2030-01']], [$this->line('M.L1', 2)], [$row]);
        $this->assertSame(Verdict::ReadyWithActions, $whole->verdict);
        $this->assertSame(2, $whole->lines[1]->reserve);
    }

    public function test_parts_never_make_it_better_and_say_all_that_any_of_them_lacks(): void
    {
        $random = new RandomKits(29);
        for ($round = 0; $round < 120; $round++) {
            $document = $random->document();
            $parts = [];
            [$joined, $first] = [$document, 0];
            $joined['list']['lines'] = $joined['contents'] = [];
            foreach (['bag' => '', 'roll' => 'M.'] as $name => $before) {
                $own = $name === 'bag' ? $document : $this->another($document, $random);
                // Two lines that ask for so much in all of one item do not go together in a document.
                $lines = array_filter($own['list']['lines'], static fn (array $line): bool => $before === '' || $line['id'] !== 'T');
                $own['list']['lines'] = array_map(
                    static fn (array $line): array => ['id' => $before.$line['id']] + $line,
                    array_values($lines),
                );
                array_push($joined['list']['lines'], ...$own['list']['lines']);
                array_push($joined['contents'], ...$own['contents']);
                $rows = array_keys($own['contents']);
                $parts[] = new PartJudgement($name, Judge::judge(RandomKits::read($own)), array_map(static fn (int $row): int => $row + $first, $rows));
                $first += count($own['contents']);
            }
            $alone = Judge::judge(RandomKits::read($joined));
            $whole = JoinedParts::of($alone, $parts);
            $this->assertFalse($alone->verdict->isWorseThan($whole->verdict));
            $this->assertSame($alone->mass, $whole->mass);
            $this->assertCount(count($alone->lines), $whole->lines);
            $short = array_column($this->shorts($whole), 0);
            foreach ($parts as $part) {
                $this->assertSame([], array_diff(array_column($this->shorts($part->judgement), 0), $short));
                foreach ($part->judgement->lines as $outcome) {
                    foreach ($whole->lines as $index => $is) {
                        if ($is->line->id === $outcome->line->id) {
                            $this->assertSame((string) $outcome->effective, (string) $is->effective);
                            foreach ($outcome->placed as $at => $placed) {
                                $this->assertSame(
                                    $part->judgement->assignment->contents[$placed->row]->item->code,
                                    $alone->assignment->contents[$whole->lines[$index]->placed[$at]->row]->item->code,
                                );
                            }
                        }
                    }
                }
            }
        }
    }

    /**
     * Other contents for the same items and policy.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private function another(array $document, RandomKits $random): array
    {
        return [...$document, 'contents' => $random->document()['contents']];
    }

    /**
     * @param  list<array<string, mixed>>  $bag
     * @param  list<array<string, mixed>>  $inBag
     * @param  list<array<string, mixed>>  $module
     * @param  list<array<string, mixed>>  $inModule
     */
    private function whole(array $bag, array $inBag, array $module, array $inModule, bool $isMissing = false): Judgement
    {
        return JoinedParts::of(Judge::judge($this->kit([...$bag, ...$module], [...$inBag, ...$inModule])), [
            new PartJudgement('the bag', Judge::judge($this->kit($bag, $inBag)), array_keys($inBag)),
            new PartJudgement(
                'the module',
                Judge::judge($this->kit($module, $inModule)),
                array_map(static fn (int $row): int => $row + count($inBag), array_keys($inModule)),
                $isMissing,
            ),
        ]);
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, mixed>>  $contents
     * @param  array<string, string|null>|null  $checked
     */
    private function kit(array $lines, array $contents, ?array $checked = null): Assignment
    {
        return RandomKits::read([
            'format' => 'sarcina.kit/1', 'as_of' => '2026-03-14', 'kit' => ['code' => 'K', 'scope' => 'anyone'],
            'policy' => ['expiry' => 'reserve', 'next_check' => '2026-06-14', 'margin_days' => 0],
            'items' => [['code' => 'pad', 'class' => 'pad', 'dated' => array_column($contents, 'expires') !== []]],
            'list' => ['code' => 'l', 'excludes' => [], 'lines' => $lines], 'contents' => $contents, 'checked' => $checked,
        ]);
    }

    /** @return array<string, mixed> */
    private function line(string $id, int $quantity, string $rank = 'required'): array
    {
        return ['id' => $id, 'rank' => $rank, 'quantity' => $quantity, 'accepts' => [['item' => 'pad']]];
    }

    /** @return array<string, array{string|int|\Sarcina\Core\Measure\Quantity, mixed}> effective and short, by line */
    private function counts(Judgement $judgement): array
    {
        return array_combine(
            array_map(static fn (LineOutcome $one): string => $one->line->id, $judgement->lines),
            array_map(static fn (LineOutcome $one): array => [$one->effective, $one->short], $judgement->lines),
        );
    }

    /** @return list<array{string, string|null}> lines that are short, and of which part that is said */
    private function shorts(Judgement $judgement): array
    {
        $shorts = [];
        foreach ($judgement->findings as $finding) {
            if ($finding->kind === FindingKind::Short) {
                $shorts[] = [(string) $finding->line?->id, $finding->part];
            }
        }
        sort($shorts);

        return $shorts;
    }
}
