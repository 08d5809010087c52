<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

/**
 * Orders the steps of a restock so that each pocket is opened once and the kit is never worse after any step. Pockets with the most pressing
 * moves come first. The search goes through the orders of pockets, and ends without one after a bounded number of tries.
 */
final class PocketVisits
{
    /** Visits that are tried at most: a pocket of a real kit rarely waits for more than one other. */
    private const TRIES = 60;

    private int $tries = 0;

    /** @var array<int, list<int>> places of moves by pocket, the most pressing first */
    private array $byPocket = [];

    /** @var callable(array<int, int>): Standing */
    private $stand;

    /**
     * @param  list<Move>  $moves
     * @param  array<int, int>  $pieces  to be moved, by the place of the move
     * @param  callable(array<int, int>): Standing  $stand
     */
    private function __construct(private readonly array $moves, private readonly array $pieces, callable $stand)
    {
        $this->stand = $stand;
        $places = array_keys($pieces);
        usort($places, fn (int $one, int $other): int => [$this->moves[$one]->turn, $this->moves[$one]->pocket, $one]
            <=> [$this->moves[$other]->turn, $this->moves[$other]->pocket, $other]);
        foreach ($places as $place) {
            $this->byPocket[$this->moves[$place]->pocket][] = $place;
        }
    }

    /**
     * @param  list<Move>  $moves
     * @param  list<array{int, int}>  $steps  the place of a move, and so many pieces of it, in an order that is safe
     * @param  callable(array<int, int>): Standing  $stand  how the kit stands when so many pieces of each move were done
     * @return list<array{int, int}>|null the same pieces, each pocket once; null where no such order was found
     */
    public static function of(array $moves, array $steps, callable $stand, Standing $before): ?array
    {
        $pieces = [];
        foreach ($steps as [$place, $some]) {
            $pieces[$place] = ($pieces[$place] ?? 0) + $some;
        }
        $visits = new self($moves, $pieces, $stand);

        return $visits->search(array_keys($visits->byPocket), [], $before);
    }

    /**
     * @param  list<int>  $pockets  still to be visited, the most pressing first
     * @param  array<int, int>  $done
     * @return list<array{int, int}>|null
     */
    private function search(array $pockets, array $done, Standing $now): ?array
    {
        if ($pockets === []) {
            return [];
        }
        foreach ($pockets as $pocket) {
            if (++$this->tries > self::TRIES) {
                return null;
            }
            $visit = $this->visit($pocket, $done, $now);
            if ($visit === null) {
                continue;
            }
            [$steps, $after, $then] = $visit;
            $rest = $this->search(array_values(array_filter($pockets, static fn (int $one): bool => $one !== $pocket)), $after, $then);
            if ($rest !== null) {
                return [...$steps, ...$rest];
            }
        }

        return null;
    }

    /**
     * Does all moves of one pocket, each whole.
     *
     * @param  array<int, int>  $done
     * @return array{list<array{int, int}>, array<int, int>, Standing}|null null where one of them would leave the kit worse
     */
    private function visit(int $pocket, array $done, Standing $now): ?array
    {
        $left = $this->byPocket[$pocket];
        $steps = [];
        do {
            $isMoving = false;
            foreach ($left as $at => $place) {
                $then = ($this->stand)($done + [$place => $this->pieces[$place]]);
                if ($this->moves[$place]->isSafe($now, $then)) {
                    $done[$place] = $this->pieces[$place];
                    $steps[] = [$place, $this->pieces[$place]];
                    unset($left[$at]);
                    [$now, $isMoving] = [$then, true];
                }
            }
        } while ($isMoving && $left !== []);

        return $left === [] ? [$steps, $done, $now] : null;
    }
}
