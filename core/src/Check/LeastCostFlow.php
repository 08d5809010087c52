<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/**
 * A minimum-cost flow from a source to a sink, by successive cheapest paths.
 *
 * Costs are triples of integers, compared in turn. The network must hold no circle of negative cost.
 * Flow is sent while a path costs less than nothing; then no other flow costs less.
 */
final class LeastCostFlow
{
    /** @var list<int> where each edge leads; edge e ^ 1 is its way back */
    private array $to = [];

    /** @var array<int, int> what each edge can still take */
    private array $free = [];

    /** @var list<array{int, int, int}> */
    private array $cost = [];

    /** @var array<int, list<int>> the edges that leave each node */
    private array $edges = [];

    /**
     * @param  array{int, int, int}  $cost  of one unit
     * @return int the edge's number
     */
    public function edge(int $from, int $to, int $capacity, array $cost = [0, 0, 0]): int
    {
        $edge = count($this->to);
        $this->to[] = $to;
        $this->free[] = $capacity;
        $this->cost[] = $cost;
        $this->edges[$from][] = $edge;
        $this->to[] = $from;
        $this->free[] = 0;
        $this->cost[] = [-$cost[0], -$cost[1], -$cost[2]];
        $this->edges[$to][] = $edge + 1;

        return $edge;
    }

    public function send(int $source, int $sink): void
    {
        while (($path = $this->cheapestPath($source, $sink)) !== null) {
            $amount = PHP_INT_MAX;
            foreach ($path as $edge) {
                $amount = min($amount, $this->free[$edge]);
            }
            foreach ($path as $edge) {
                $this->free[$edge] -= $amount;
                $this->free[$edge ^ 1] += $amount;
            }
        }
    }

    /** How much flows along an edge. */
    public function along(int $edge): int
    {
        return $this->free[$edge ^ 1];
    }

    /** @return list<int>|null the edges of the cheapest path, or null where none costs less than nothing */
    private function cheapestPath(int $source, int $sink): ?array
    {
        $distance = [$source => [0, 0, 0]];
        $by = [];
        $queue = [$source];
        $queued = [$source => true];
        for ($next = 0; $next < count($queue); $next++) {
            $node = $queue[$next];
            $queued[$node] = false;
            [$first, $second, $third] = $distance[$node];
            foreach ($this->edges[$node] as $edge) {
                if ($this->free[$edge] === 0) {
                    continue;
                }
                [$a, $b, $c] = $this->cost[$edge];
                $a += $first;
                $b += $second;
                $c += $third;
                $to = $this->to[$edge];
                $known = $distance[$to] ?? null;
                if ($known === null || $a < $known[0] || ($a === $known[0] && ($b < $known[1] || ($b === $known[1] && $c < $known[2])))) {
                    $distance[$to] = [$a, $b, $c];
                    $by[$to] = $edge;
                    if (! ($queued[$to] ?? false)) {
                        $queued[$to] = true;
                        $queue[] = $to;
                    }
                }
            }
        }
        if (! isset($distance[$sink]) || $distance[$sink] >= [0, 0, 0]) {
            return null;
        }
        $path = [];
        for ($node = $sink; $node !== $source; $node = $this->to[$by[$node] ^ 1]) {
            $path[] = $by[$node];
        }

        return $path;
    }
}
