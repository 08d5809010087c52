<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

use Sarcina\Core\Flow\LeastCostFlow;

/**
 * Which pieces of one item change places, so that most are used and, of the ways to do that, fewest change places: a least-cost flow.
 *
 * At each place a piece goes down from the day on which it expires to the slot that it is used in, or to none; on its way it may leave
 * for the hall, where those of all places go down by the same days, and enter another place where a slot opens. That costs a move. So the
 * network has a few nodes for each place, and none for each pair of places.
 */
final class Exchange
{
    private const PLACED = [-1, 0, 0];

    private const USED = [0, -1, 0];

    private const MOVED = [0, 0, 1];

    private readonly LeastCostFlow $flow;

    private int $nodes;

    /** @var list<int> edges into slots in which a piece is used */
    private array $uses = [];

    /** @var array<int, array<int, int>> edges out of places, by day and place */
    private array $out = [];

    /** @var array<int, array<int, int>> edges into places, by day and place; under -1 those of pieces that are used nowhere */
    private array $in = [];

    /** @var list<int> the hall's nodes by day, from -1 on */
    private array $hall = [];

    /** @param  list<Shelf>  $shelves */
    public function __construct(private readonly array $shelves, private readonly int $days)
    {
        $this->flow = new LeastCostFlow;
        $this->nodes = 2;
        $most = array_sum(array_map(static fn (Shelf $shelf): int => $shelf->size, $shelves));
        for ($day = -1; $day < $days; $day++) {
            $this->hall[] = $this->nodes++;
            if ($day >= 0) {
                $this->flow->edge($this->hallAt($day), $this->hallAt($day - 1), $most);
            }
        }
        foreach ($shelves as $at => $shelf) {
            $this->add($at, $shelf);
        }
        $this->flow->send(0, 1);
    }

    public function used(): int
    {
        return array_sum(array_map($this->flow->along(...), $this->uses));
    }

    /** @return list<array{int, int, int, int}> from which place, of which day of expiry, to which place, how many */
    public function changes(): array
    {
        $changes = [];
        $waiting = [];
        for ($day = $this->days - 1; $day >= -1; $day--) {
            foreach ($this->out[$day] ?? [] as $from => $edge) {
                $leaving = $this->flow->along($edge);
                if ($leaving > 0) {
                    $waiting[] = [$from, $day, $leaving];
                }
            }
            foreach ($this->in[$day] ?? [] as $to => $edge) {
                // Whoever waits here expires on this day or later: any of them will do.
                for ($wanted = $this->flow->along($edge); $wanted > 0; $wanted -= $taken) {
                    [$from, $expires, $there] = array_pop($waiting) ?? throw new \LogicException('More came in than went out.');
                    $taken = min($wanted, $there);
                    $changes[] = [$from, $expires, $to, $taken];
                    if ($there > $taken) {
                        $waiting[] = [$from, $expires, $there - $taken];
                    }
                }
            }
        }

        return $changes;
    }

    private function add(int $at, Shelf $shelf): void
    {
        $place = $this->nodes++;
        $this->flow->edge($place, 1, $shelf->size);
        $below = $place;
        $days = array_keys($shelf->pieces + $shelf->slots);
        sort($days);
        foreach ($days as $day) {
            $node = $this->nodes++;
            $this->flow->edge($node, $below, $shelf->size);
            $pieces = $shelf->pieces[$day] ?? 0;
            if ($pieces > 0) {
                $this->flow->edge(0, $node, $pieces, self::PLACED);
            }
            $loose = $shelf->loose[$day] ?? 0;
            if ($loose > 0) {
                $this->out[$day][$at] = $this->flow->edge($node, $this->hallAt($day), $loose, self::MOVED);
            }
            $slots = $shelf->slots[$day] ?? 0;
            if ($slots > 0) {
                $this->uses[] = $this->flow->edge($node, $place, $slots, self::USED);
                $this->in[$day][$at] = $this->flow->edge($this->hallAt($day), $node, $shelf->size);
            }
            $below = $node;
        }
        $this->in[-1][$at] = $this->flow->edge($this->hallAt(-1), $place, $shelf->size);
    }

    private function hallAt(int $day): int
    {
        return $this->hall[$day + 1];
    }
}
