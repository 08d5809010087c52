<?php

declare(strict_types=1);

namespace Sarcina\Core\Flow;

/**
 * A minimum-cost flow from a source to a sink.
 *
 * Costs are triples of integers, compared in turn. The network must hold no circle of negative cost. Flow is sent while a path
 * costs less than nothing; then no other flow costs less.
 *
 * Each node has a potential, so that no edge with room costs less than nothing beside its nodes' potentials; the cheapest paths are
 * then those along edges that cost nothing, and all of them are filled at once before the potentials are raised again.
 */
final class LeastCostFlow
{
    private const NOTHING = [0, 0, 0];

    /** @var list<int> where each edge leads; edge e ^ 1 is its way back */
    private array $to = [];

    /** @var array<int, int> what each edge can still take */
    private array $free = [];

    /** @var list<int> of one unit, of forward edges alone; the way back costs as much less */
    private array $first = [];

    /** @var list<int> */
    private array $second = [];

    /** @var list<int> */
    private array $third = [];

    /** @var array<int, list<int>> the edges that leave each node */
    private array $edges = [];

    /** @var array<int, int> by node */
    private array $potential1 = [];

    /** @var array<int, int> */
    private array $potential2 = [];

    /** @var array<int, int> */
    private array $potential3 = [];

    /** @var array<int, list<int>> the edges that leave each node and cost nothing beside the potentials */
    private array $ofNoCost = [];

    /** @var array<int, true> nodes that lead no further in this round */
    private array $closed = [];

    /** @var array<int, int> the next edge to try from each node in this round */
    private array $next = [];

    /**
     * @param  array{int, int, int}  $cost  of one unit
     * @return int the edge's number
     */
    public function edge(int $from, int $to, int $capacity, array $cost = self::NOTHING): int
    {
        $edge = count($this->to);
        $this->to[] = $to;
        $this->free[] = $capacity;
        $this->edges[$from][] = $edge;
        $this->to[] = $from;
        $this->free[] = 0;
        $this->edges[$to][] = $edge + 1;
        [$this->first[], $this->second[], $this->third[]] = $cost;

        return $edge;
    }

    public function send(int $source, int $sink): void
    {
        $raise = $this->firstDistances($source);
        // At first costs less than nothing stand on the edges themselves: each node is raised by its own distance.
        while (isset($raise[$sink])) {
            $this->raise($raise, $raise[$sink]);
            if (! $this->isCheaperThanNothing($source, $sink)) {
                return;
            }
            $this->findEdgesOfNoCost();
            do {
                $this->closed = [];
                $this->next = [];
            } while ($this->push($source, $sink, PHP_INT_MAX) > 0);
            $raise = $this->distances($source, $sink);
        }
    }

    /** How much flows along an edge. */
    public function along(int $edge): int
    {
        return $this->free[$edge ^ 1];
    }

    private function isCheaperThanNothing(int $source, int $sink): bool
    {
        return [$this->potential1[$sink], $this->potential2[$sink], $this->potential3[$sink]]
            < [$this->potential1[$source], $this->potential2[$source], $this->potential3[$source]];
    }

    /**
     * Nodes that were not reached, or lie further than the most, are raised by the most: so no edge with room comes to cost less than nothing.
     *
     * @param  array<int, array{int, int, int}>  $distances
     * @param  array{int, int, int}  $most
     */
    private function raise(array $distances, array $most): void
    {
        foreach ($this->edges as $node => $_) {
            [$first, $second, $third] = $distances[$node] ?? $most;
            $this->potential1[$node] = ($this->potential1[$node] ?? 0) + $first;
            $this->potential2[$node] = ($this->potential2[$node] ?? 0) + $second;
            $this->potential3[$node] = ($this->potential3[$node] ?? 0) + $third;
        }
    }

    /**
     * The cheapest way from the source to each node, where edges may cost less than nothing.
     *
     * @return non-empty-array<int, array{int, int, int}>
     */
    private function firstDistances(int $source): array
    {
        $distance = [$source => self::NOTHING];
        $queue = [$source];
        $isQueued = [$source => true];
        for ($at = 0; $at < count($queue); $at++) {
            $node = $queue[$at];
            $isQueued[$node] = false;
            foreach ($this->edges[$node] ?? [] as $edge) {
                if ($this->free[$edge] === 0) {
                    continue;
                }
                [$first, $second, $third] = $distance[$node];
                $half = $edge >> 1;
                $there = [$first + $this->first[$half], $second + $this->second[$half], $third + $this->third[$half]];
                $to = $this->to[$edge];
                if (! isset($distance[$to]) || $there < $distance[$to]) {
                    $distance[$to] = $there;
                    if (! ($isQueued[$to] ?? false)) {
                        $isQueued[$to] = true;
                        $queue[] = $to;
                    }
                }
            }
        }

        return $distance;
    }

    /**
     * The cheapest way from the source beside the potentials, where no edge costs less than nothing: to each node that is no further than the sink.
     *
     * Many nodes are equally far, most of them along edges that cost nothing: those of one distance lie in one pile.
     *
     * @return array<int, array{int, int, int}>
     */
    private function distances(int $source, int $sink): array
    {
        $known = [$source => self::NOTHING];
        $settled = [];
        $far = [PHP_INT_MAX, PHP_INT_MAX, PHP_INT_MAX];
        /** @var \SplMinHeap<array{int, int, int}> $open distances of which there is a pile */
        $open = new \SplMinHeap;
        $open->insert(self::NOTHING);
        $piles = ['0 0 0' => [$source]];
        while (! isset($settled[$sink]) && ! $open->isEmpty()) {
            $distance = $open->extract();
            [$a, $b, $c] = $distance;
            $pile = $piles["{$a} {$b} {$c}"];
            while (($node = array_pop($pile)) !== null) {
                if (isset($settled[$node])) {
                    continue;
                }
                $settled[$node] = $distance;
                $first = $this->potential1[$node];
                $second = $this->potential2[$node];
                $third = $this->potential3[$node];
                foreach ($this->edges[$node] as $edge) {
                    if ($this->free[$edge] === 0) {
                        continue;
                    }
                    $to = $this->to[$edge];
                    if (isset($settled[$to])) {
                        continue;
                    }
                    $half = $edge >> 1;
                    $sign = ($edge & 1) === 0 ? 1 : -1;
                    $x = $first + $sign * $this->first[$half] - $this->potential1[$to];
                    $y = $second + $sign * $this->second[$half] - $this->potential2[$to];
                    $z = $third + $sign * $this->third[$half] - $this->potential3[$to];
                    if ($x === 0 && $y === 0 && $z === 0) {
                        $pile[] = $to;

                        continue;
                    }
                    $there = [$a + $x, $b + $y, $c + $z];
                    // What is further than the sink, or no nearer than by another way, is of no use.
                    if ($there > $far || (isset($known[$to]) && $there >= $known[$to])) {
                        continue;
                    }
                    $known[$to] = $there;
                    if ($to === $sink) {
                        $far = $there;
                    }
                    $name = "{$there[0]} {$there[1]} {$there[2]}";
                    if (! isset($piles[$name])) {
                        $open->insert($there);
                    }
                    $piles[$name][] = $to;
                }
            }
        }

        return $settled;
    }

    private function findEdgesOfNoCost(): void
    {
        $this->ofNoCost = array_fill_keys(array_keys($this->edges), []);
        foreach ($this->first as $half => $first) {
            $edge = $half << 1;
            $to = $this->to[$edge];
            $from = $this->to[$edge + 1];
            if ($first === $this->potential1[$to] - $this->potential1[$from]
                && $this->second[$half] === $this->potential2[$to] - $this->potential2[$from]
                && $this->third[$half] === $this->potential3[$to] - $this->potential3[$from]) {
                $this->ofNoCost[$from][] = $edge;
                $this->ofNoCost[$to][] = $edge + 1;
            }
        }
    }

    /**
     * Sends as much as it can along edges that cost nothing. A node is closed while a path leads through it, and for the rest of the round
     * once nothing more gets through; what that shuts out on the way of others is found in the next round.
     *
     * @return int how much reached the sink
     */
    private function push(int $node, int $sink, int $most): int
    {
        if ($node === $sink) {
            return $most;
        }
        $this->closed[$node] = true;
        $edges = $this->ofNoCost[$node];
        $count = count($edges);
        $sent = 0;
        for ($next = $this->next[$node] ?? 0; $next < $count; $next++) {
            $edge = $edges[$next];
            $free = $this->free[$edge];
            if ($free === 0 || isset($this->closed[$to = $this->to[$edge]])) {
                continue;
            }
            $through = $this->push($to, $sink, min($most - $sent, $free));
            $this->free[$edge] -= $through;
            $this->free[$edge ^ 1] += $through;
            $sent += $through;
            if ($sent === $most) {
                $this->next[$node] = $next;
                unset($this->closed[$node]);
                break;
            }
        }

        return $sent;
    }
}
