<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Flow\LeastCostFlow;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;

/**
 * Which line each piece serves: an exact optimum over all lines at once (rules.md, check).
 *
 * Lines that share no item are settled apart from one another, each group by one minimum-cost flow
 * in which effective and reserve pieces compete jointly.
 */
final class Placement
{
    /** @var array<int, list<Placed>> by the line's place in the list */
    private array $placed = [];

    /** @var array<int, int> pieces placed, by row */
    private array $taken = [];

    /** @var array<string, array<int, int>> item code => line => preference, for items that are there */
    private array $preferences = [];

    private function __construct(private readonly Assignment $assignment)
    {
    }

    public static function of(Assignment $assignment): self
    {
        $placement = new self($assignment);
        $placement->settle();

        return $placement;
    }

    /** @return list<Placed> */
    public function onLine(int $line): array
    {
        return $this->placed[$line] ?? [];
    }

    /** How many pieces of the row serve a line or are added to a total. */
    public function takenFrom(int $row): int
    {
        return $this->taken[$row] ?? 0;
    }

    public function isAcceptedByATotal(Item $item): bool
    {
        foreach ($this->preferences[$item->code] ?? [] as $line => $_) {
            if ($this->assignment->list->lines[$line]->total !== null) {
                return true;
            }
        }

        return false;
    }

    private function settle(): void
    {
        $piles = $this->piles();
        $group = $this->groupLines($piles);
        $lines = [];
        $pilesOf = [];
        foreach ($piles as $key => $pile) {
            $preferences = $this->preferences[$pile->item->code];
            if ($preferences !== []) {
                $pilesOf[$group[array_key_first($preferences)]][] = $pile;
            }
        }
        foreach ($group as $line => $root) {
            $lines[$root][] = $line;
        }
        foreach ($pilesOf as $root => $members) {
            if ($this->assignment->list->lines[$lines[$root][0]]->total !== null) {
                $this->addUp($lines[$root][0], $members);
            } else {
                $this->share($lines[$root], $members);
            }
        }
    }

    /**
     * Rows of one item that are alike in what counts for the placement are one pile, longest-lasting rows first.
     *
     * @return array<string, Pile>
     */
    private function piles(): array
    {
        $piles = [];
        foreach ($this->assignment->contents as $index => $row) {
            $reserve = $this->assignment->isReserve($index);
            if (! $reserve && ! $this->assignment->isEffective($index)) {
                continue;
            }
            $early = ! $reserve && $this->assignment->expiresEarly($index);
            $key = ($reserve ? 'r' : ($early ? 'e' : 'l')).$row->item->code;
            $piles[$key] ??= new Pile($row->item, $reserve, $early);
            $piles[$key]->add($index, $row->quantity, $row->lastGoodDay()->number ?? PHP_INT_MAX);
            $this->preferences[$row->item->code] ??= $this->assignment->linesFor($row->item);
        }

        return $piles;
    }

    /**
     * @param  array<string, Pile>  $piles
     * @return array<int, int> line => the first line of its group
     */
    private function groupLines(array $piles): array
    {
        $root = array_keys($this->assignment->list->lines);
        $find = static function (int $line) use (&$root): int {
            while ($root[$line] !== $line) {
                $line = $root[$line] = $root[$root[$line]];
            }

            return $line;
        };
        foreach ($piles as $pile) {
            $first = null;
            foreach ($this->preferences[$pile->item->code] as $line => $_) {
                $first ??= $line;
                $one = $find($first);
                $other = $find($line);
                $root[max($one, $other)] = min($one, $other);
            }
        }

        return array_map($find, $root);
    }

    /** @param  list<Pile>  $piles */
    private function addUp(int $line, array $piles): void
    {
        $this->placed[$line] = [];
        foreach ($piles as $pile) {
            if ($pile->reserve) {
                continue;
            }
            foreach ($pile->rows() as [$row, $quantity]) {
                $this->place($line, $row, $quantity, $this->preferences[$pile->item->code][$line], false);
            }
        }
        usort($this->placed[$line], static fn (Placed $one, Placed $other): int => $one->row <=> $other->row);
    }

    /**
     * @param  list<int>  $lines
     * @param  list<Pile>  $piles
     */
    private function share(array $lines, array $piles): void
    {
        $worst = 0;
        foreach ($piles as $pile) {
            $worst = max($worst, ...array_values($this->preferences[$pile->item->code]));
        }
        $cost = new Cost(count($lines), $worst);
        $flow = new LeastCostFlow;
        $source = 0;
        $sink = 1;
        $node = 2;
        $nodeOf = [];
        foreach ($lines as $line) {
            $nodeOf[$line] = $node;
            $flow->edge($node++, $sink, $this->assignment->list->lines[$line]->pieces());
        }
        $edges = [];
        foreach ($piles as $index => $pile) {
            $flow->edge($source, $node, $pile->quantity);
            foreach ($this->preferences[$pile->item->code] as $line => $preference) {
                $rank = self::order($this->assignment->list->lines[$line]);
                if ($pile->reserve && $rank === 0) {
                    continue;
                }
                $edges[$index][$line] = $flow->edge(
                    $node,
                    $nodeOf[$line],
                    $pile->quantity,
                    $pile->reserve ? $cost->ofReserve($rank, $preference) : $cost->ofEffective($rank, $pile->early, $preference),
                );
            }
            $node++;
        }
        $flow->send($source, $sink);
        foreach ($edges as $index => $edgesOfPile) {
            $pile = $piles[$index];
            $rows = $pile->rows();
            foreach ($edgesOfPile as $line => $edge) {
                $this->placeRows($line, $flow->along($edge), $rows, $this->preferences[$pile->item->code][$line], $pile->reserve);
            }
        }
    }

    /** @param  list<array{int, int}>  $rows of the pile: row and pieces */
    private function placeRows(int $line, int $pieces, array $rows, int $preference, bool $reserve): void
    {
        foreach ($rows as [$row, $there]) {
            $quantity = min($pieces, $there - $this->takenFrom($row));
            if ($quantity > 0) {
                $this->place($line, $row, $quantity, $preference, $reserve);
                $pieces -= $quantity;
            }
        }
    }

    private function place(int $line, int $row, int $quantity, int $preference, bool $reserve): void
    {
        $this->placed[$line][] = new Placed($row, $quantity, $preference, $reserve);
        $this->taken[$row] = ($this->taken[$row] ?? 0) + $quantity;
    }

    /** @return 0|1|2 */
    private static function order(Line $line): int
    {
        return match ($line->rank) {
            Rank::Critical => 0,
            Rank::Required => 1,
            Rank::Optional => 2,
        };
    }
}
