<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

/**
 * Puts a restock in an order in which the kit is never worse than it was, after whatever step somebody stops: companions before what needs
 * them, in before out, critical lines first. Each pocket is visited once where such an order exists (PocketVisits). Pieces that would make
 * the kit worse whatever the order are held back, with the reason.
 */
final class SafeOrder
{
    /** @var list<array{int, int}> the place of a move, and so many pieces of it */
    public array $steps = [];

    /** @var list<array{int, int, HeldBack}> the same of what is held back */
    public array $held = [];

    /** @var array<int, HeldBack> moves that are not tried again */
    private array $dropped = [];

    /** @var callable(array<int, int>): Standing */
    private $stand;

    /**
     * @param  list<Move>  $moves
     * @param  callable(array<int, int>): Standing  $stand  how the kit stands when so many pieces of each move were done
     */
    private function __construct(private readonly array $moves, callable $stand)
    {
        $this->stand = $stand;
    }

    /**
     * @param  list<Move>  $moves
     * @param  callable(array<int, int>): Standing  $stand
     */
    public static function of(array $moves, callable $stand): self
    {
        $order = new self($moves, $stand);
        $before = $stand([]);
        do {
            $order->walk($before);
        } while ($order->dropsEncumbrance($before));
        $order->steps = PocketVisits::of($moves, $order->steps, $stand, $before) ?? $order->steps;
        $order->join();

        return $order;
    }

    private function walk(Standing $before): void
    {
        $this->steps = $this->held = [];
        $now = $before;
        $done = [];
        $left = array_diff_key($this->moves, $this->dropped);
        uasort($left, static fn (Move $one, Move $other): int => $one->turn <=> $other->turn);
        $pieces = array_map(static fn (Move $move): int => $move->pieces, $left);
        do {
            $isMoving = false;
            foreach (array_keys($pieces) as $place) {
                [$most, $then] = $this->most($place, $pieces[$place], $done, $now);
                if ($most === 0) {
                    continue;
                }
                $done[$place] = ($done[$place] ?? 0) + $most;
                $this->steps[] = [$place, $most];
                [$now, $isMoving] = [$then, true];
                $pieces[$place] -= $most;
                if ($pieces[$place] === 0) {
                    unset($pieces[$place]);
                }
            }
        } while ($isMoving && $pieces !== []);
        foreach ($pieces as $place => $rest) {
            $this->held[] = [$place, $rest, $this->why($place, $rest, $done, $now)];
        }
        foreach ($this->dropped as $place => $because) {
            $this->held[] = [$place, $this->moves[$place]->pieces, $because];
        }
    }

    /**
     * As many of the pieces as leave nothing worse.
     *
     * @param  array<int, int>  $done
     * @return array{int, Standing}
     */
    private function most(int $place, int $pieces, array $done, Standing $now): array
    {
        for ($most = $pieces; $most > 0; $most--) {
            $then = $this->after($done, $place, $most);
            if ($this->moves[$place]->isSafe($now, $then)) {
                return [$most, $then];
            }
        }

        return [0, $now];
    }

    /** @param  array<int, int>  $done */
    private function after(array $done, int $place, int $pieces): Standing
    {
        $done[$place] = ($done[$place] ?? 0) + $pieces;

        return ($this->stand)($done);
    }

    /** @param  array<int, int>  $done */
    private function why(int $place, int $pieces, array $done, Standing $now): HeldBack
    {
        if (! $this->moves[$place]->isIn) {
            return HeldBack::StillCounts;
        }

        return self::encumbrance($this->after($done, $place, $pieces), $now);
    }

    private static function encumbrance(Standing $then, Standing $now): HeldBack
    {
        return match (true) {
            $then->isOverweight && ! $now->isOverweight => HeldBack::Overweight,
            $then->unpaired > $now->unpaired => HeldBack::NoCompanion,
            default => HeldBack::LowersVerdict,
        };
    }

    /** Pieces of an optional line that in the end make the kit too heavy or lack a companion are left out; whether there was one. */
    private function dropsEncumbrance(Standing $before): bool
    {
        $done = [];
        foreach ($this->steps as [$place, $pieces]) {
            $done[$place] = ($done[$place] ?? 0) + $pieces;
        }
        $end = ($this->stand)($done);
        if (! $end->isEncumberedBeside($before)) {
            return false;
        }
        foreach (array_reverse($this->steps) as [$place]) {
            if (! $this->moves[$place]->isOptional) {
                continue;
            }
            $without = ($this->stand)(array_diff_key($done, [$place => 0]));
            if ($end->isEncumberedBeside($without) && ! $without->isEncumberedBeside($end)) {
                $this->dropped[$place] = self::encumbrance($end, $without);

                return true;
            }
        }

        return false;
    }

    /** Pieces of one move that follow one another are one step. */
    private function join(): void
    {
        $joined = [];
        foreach ($this->steps as [$place, $pieces]) {
            $last = array_key_last($joined);
            if ($last !== null && $joined[$last][0] === $place) {
                $joined[$last][1] += $pieces;
            } else {
                $joined[] = [$place, $pieces];
            }
        }
        $this->steps = $joined;
    }
}
