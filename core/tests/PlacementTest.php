<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Placement;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitReader;

/** The placement against a search through all placements, on many small kits made by chance. */
final class PlacementTest extends TestCase
{
    private const KITS = 400;

    private const ITEMS = ['pad-small', 'pad-medium', 'pad-large', 'roll'];

    public function test_no_other_placement_is_better(): void
    {
        $random = new Randomizer(new Mt19937(8599));
        $withReserve = 0;
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $document = $this->document($random);
            $assignment = KitReader::read(Json::read(Json::write($document)));
            $judgement = Judge::judge($assignment);
            $found = $this->figures($judgement);
            $this->assertSame($this->best($assignment), $found, 'Another placement is better: '.Json::write($document));
            $this->assertEachPieceServesOnce($assignment, $judgement);
            $withReserve += $found[7] > 0 ? 1 : 0;
        }
        $this->assertGreaterThan(20, $withReserve, 'Too few of the kits tried put reserve to use.');
    }

    public function test_a_group_of_many_lines_is_shared_exactly(): void
    {
        // Each line accepts its own item and, first, the next one's: only a shift along the whole chain meets them all.
        $lines = [];
        $items = [];
        $contents = [];
        for ($number = 0; $number < 60; $number++) {
            $items[] = ['code' => "i{$number}", 'class' => 'thing'];
            $accepts = [['item' => "i{$number}"]];
            if ($number < 59) {
                array_unshift($accepts, ['item' => 'i'.($number + 1)]);
            }
            $lines[] = ['id' => "L{$number}", 'quantity' => 3, 'rank' => ['critical', 'required', 'optional'][$number % 3], 'accepts' => $accepts];
            $contents[] = ['item' => "i{$number}", 'quantity' => 3];
        }
        $assignment = KitReader::read(Json::read(Json::write($this->kit($items, $lines, $contents, 'strict'))));
        $placement = Placement::of($assignment);
        for ($number = 0; $number < 60; $number++) {
            $this->assertSame(3, array_sum(array_map(static fn ($placed) => $placed->quantity, $placement->onLine($number))));
        }
    }

    public function test_no_preference_however_strong_brings_an_early_piece_in(): void
    {
        // The early piece would serve the first line as it likes best; without it each line along the chain takes its thirteenth choice.
        $items = array_map(
            static fn (string $code): array => ['code' => $code, 'class' => 'thing'],
            ['early', 'other', ...array_map(static fn (int $n): string => "i{$n}", range(0, 6))],
        );
        $lines = [];
        for ($number = 0; $number < 6; $number++) {
            $accepts = [
                ['item' => $number === 0 ? 'early' : "i{$number}"],
                ...array_map(static fn (int $n): array => ['item' => "none-{$n}"], range(1, 12)),
                ['item' => 'i'.($number + 1)],
            ];
            $lines[] = ['id' => "L{$number}", 'quantity' => 1, 'accepts' => $accepts];
        }
        $contents = [
            ['item' => 'early', 'quantity' => 1, 'expires' => '2026-04'],
            ...array_map(static fn (int $n): array => ['item' => "i{$n}", 'quantity' => 1], range(1, 6)),
        ];
        $placement = Placement::of(RandomKits::read($this->kit($items, $lines, $contents, 'strict')));
        for ($number = 0; $number < 6; $number++) {
            $this->assertSame(
                [[$number + 1, 13]],
                array_map(static fn ($placed): array => [$placed->row, $placed->preference], $placement->onLine($number)),
            );
        }
    }

    public function test_of_rows_that_last_as_long_the_first_is_taken_and_of_others_the_longest_lasting(): void
    {
        $items = [['code' => 'pad', 'class' => 'pad']];
        $lines = [['id' => 'L', 'quantity' => 3, 'accepts' => [['item' => 'pad']]]];
        $rows = [
            [
                'item' => 'pad', 'lot' => 'A', 'quantity' => 1, 'expires' => '2027-01',
            ], ['item' => 'pad', 'lot' => 'B', 'quantity' => 5, 'expires' => '2027-01'],
            ['item' => 'pad', 'lot' => 'C', 'quantity' => 1, 'expires' => '2027-02'],
        ];
        $placement = Placement::of(RandomKits::read($this->kit($items, $lines, $rows, 'strict')));
        $this->assertSame(
            [[2, 1], [0, 1], [1, 1]],
            array_map(static fn ($placed): array => [$placed->row, $placed->quantity], $placement->onLine(0)),
        );
        $this->assertSame([1, 1, 1], array_map($placement->takenFrom(...), [0, 1, 2]));
    }

    /** @return array<string, mixed> */
    private function document(Randomizer $random): array
    {
        $items = [];
        foreach (self::ITEMS as $index => $code) {
            $items[] = [
                'code' => $code, 'class' => $index < 3 ? 'pad' : 'roll', 'size' => ['width' => (5 * $index + 5).' cm'],
                'scope' => $random->getInt(0, 3) === 0 ? 'trained' : 'anyone', 'after_opening_days' => 30,
            ];
        }
        $lines = [];
        for ($line = $random->getInt(1, 3); $line > 0; $line--) {
            $accepts = [];
            foreach ($random->shuffleArray(self::ITEMS) as $code) {
                if ($random->getInt(0, 2) > 0) {
                    $accepts[] = ['item' => $code];
                }
            }
            $accepts[] = ['class' => 'pad', 'min' => ['width' => '10 cm']];
            $lines[] = [
                'id' => "L{$line}",
                'quantity' => $random->getInt(1, 3),
                'rank' => ['critical', 'required', 'optional'][$random->getInt(0, 2)],
                'accepts' => $accepts,
                'anyone_may_use' => $random->getInt(0, 2) === 0,
            ];
        }
        $contents = [];
        for ($row = $random->getInt(1, 4); $row > 0; $row--) {
            $contents[] = [
                'item' => self::ITEMS[$random->getInt(0, 3)],
                'expires' => [null, '2026-01', '2026-05', '2029-01'][$random->getInt(0, 3)],
                'quantity' => $random->getInt(1, 2),
                // Good for thirty days from then: past, early, or as long as is printed.
                ...($random->getInt(0, 3) === 0 ? ['condition' => 'opened', 'opened_on' => ['2026-01-01', '2026-03-10'][$random->getInt(0, 1)]] : []),
            ];
        }

        return $this->kit($items, $lines, $contents, 'reserve');
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, mixed>>  $contents
     * @return array<string, mixed>
     */
    private function kit(array $items, array $lines, array $contents, string $expiry): array
    {
        return [
            'format' => 'sarcina.kit/1', 'as_of' => '2026-03-14', 'kit' => ['code' => 'QH-03'],
            'policy' => ['expiry' => $expiry, 'next_check' => '2026-06-14'],
            'items' => $items, 'list' => ['code' => 'made', 'lines' => $lines], 'contents' => $contents,
        ];
    }

    /** @return list<int> the eight figures of rules.md, and the reserve pieces placed */
    private function figures(Judgement $judgement): array
    {
        $laid = [];
        foreach ($judgement->lines as $line => $outcome) {
            foreach ($outcome->placed as $placed) {
                $laid[] = [$line, $placed->row, $placed->quantity];
            }
        }
        $figures = $this->weigh($judgement->assignment, $laid);
        array_splice($figures, 7, 0, [array_sum(array_map(static fn ($outcome) => $outcome->reserve ?? 0, $judgement->lines))]);

        return [...array_slice($figures, 0, 7), $figures[7], $figures[8]];
    }

    /**
     * @param  list<array{int, int, int}>  $laid  line, row, pieces
     * @return list<int>
     */
    private function weigh(Assignment $assignment, array $laid): array
    {
        $effective = $reserve = array_fill(0, count($assignment->list->lines), 0);
        $early = $preference = $reservePreference = 0;
        foreach ($laid as [$line, $row, $pieces]) {
            $here = $assignment->contents[$row];
            $position = $assignment->list->preferencesFor($here->item)[$line];
            if ($assignment->isReserve($row)) {
                $reserve[$line] += $pieces;
                $reservePreference += $pieces * $position;
            } else {
                $effective[$line] += $pieces;
                $early += $assignment->expiresEarly($row) ? $pieces : 0;
                $preference += $pieces * $position;
            }
        }
        $short = $after = ['critical' => 0, 'required' => 0, 'optional' => 0];
        foreach ($assignment->list->lines as $index => $line) {
            $short[$line->rank->value] += (int) $line->quantity - $effective[$index];
            $after[$line->rank->value] += (int) $line->quantity - $effective[$index] - $reserve[$index];
        }

        return [
            $short['critical'], $short['required'], $short['optional'], $early, $preference, $after['required'],
            $after['optional'], $reservePreference,
        ];
    }

    /** @return list<int> */
    private function best(Assignment $assignment): array
    {
        $pieces = [];
        foreach ($assignment->contents as $row => $here) {
            if ($assignment->isEffective($row) || $assignment->isReserve($row)) {
                array_push($pieces, ...array_fill(0, $here->quantity, $row));
            }
        }
        $best = null;
        $bestReserve = 0;
        $left = array_map(static fn ($line) => (int) $line->quantity, $assignment->list->lines);
        $try = function (int $next, array $laid, array $left) use (&$try, &$best, &$bestReserve, $pieces, $assignment): void {
            if ($next === count($pieces)) {
                $figures = $this->weigh($assignment, $laid);
                if ($best === null || $figures < $best) {
                    $best = $figures;
                    $bestReserve = count(array_filter($laid, static fn ($one) => $assignment->isReserve($one[1])));
                }

                return;
            }
            $row = $assignment->contents[$pieces[$next]];
            $preferences = $assignment->list->preferencesFor($row->item);
            foreach ($assignment->list->lines as $index => $line) {
                $bars = $assignment->isReserve($pieces[$next]) && $line->rank->value === 'critical';
                $mayUse = $line->anyoneMayUse || $row->item->scope->value === 'anyone';
                if ($left[$index] > 0 && ! $bars && $mayUse && isset($preferences[$index])) {
                    $rest = $left;
                    $rest[$index]--;
                    $try($next + 1, [...$laid, [$index, $pieces[$next], 1]], $rest);
                }
            }
            $try($next + 1, $laid, $left);
        };
        $try(0, [], $left);

        return [...array_slice($best ?? [], 0, 7), $bestReserve, $best[7] ?? 0];
    }

    private function assertEachPieceServesOnce(Assignment $assignment, Judgement $judgement): void
    {
        $used = [];
        foreach ($judgement->lines as $outcome) {
            $this->assertLessThanOrEqual($outcome->required, $outcome->effective + $outcome->reserve);
            foreach ($outcome->placed as $placed) {
                $used[$placed->row] = ($used[$placed->row] ?? 0) + $placed->quantity;
                $this->assertLessThanOrEqual($assignment->contents[$placed->row]->quantity, $used[$placed->row]);
            }
        }
    }
}
