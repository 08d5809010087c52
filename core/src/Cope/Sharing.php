<?php

declare(strict_types=1);

namespace Sarcina\Core\Cope;

/**
 * Shares pieces out to needs that accept some of the same items: a maximum flow from the needs to the items, grown along the shortest
 * ways there are.
 */
final class Sharing
{
    /** @var array<int, int> what each need still lacks */
    private array $lacks;

    /** @var array<int, int> what is left of each item */
    private array $left;

    /** @var array<int, array<int, int>> pieces by need and item */
    private array $given = [];

    /**
     * @param  array<int, int>  $demands  by need
     * @param  array<int, list<int>>  $takes  items by need
     * @param  array<int, int>  $pieces  by item
     */
    public function __construct(array $demands, private readonly array $takes, array $pieces)
    {
        $this->lacks = $demands;
        $this->left = $pieces;
        foreach ($demands as $need => $demand) {
            // First what is plainly there; then what others can make do without.
            foreach ($takes[$need] as $item) {
                $this->give($need, $item, min($this->lacks[$need], $this->left[$item]));
            }
        }
        foreach (array_keys($demands) as $need) {
            while ($this->lacks[$need] > 0 && $this->grow($need));
        }
    }

    public function isEnough(): bool
    {
        return array_filter($this->lacks) === [];
    }

    /**
     * The smallest of the sets of needs whose demand exceeds by most what they accept: those that what is lacking reaches, over items
     * whose pieces were given to others. None where nothing is lacking.
     *
     * @return array<int, true> by need
     */
    public function inTheWay(): array
    {
        $reached = array_fill_keys(array_keys(array_filter($this->lacks)), true);
        $open = array_keys($reached);
        $seen = [];
        for ($at = 0; $at < count($open); $at++) {
            foreach ($this->takes[$open[$at]] as $item) {
                if (isset($seen[$item])) {
                    continue;
                }
                $seen[$item] = true;
                foreach ($this->given as $need => $given) {
                    if (! isset($reached[$need]) && ($given[$item] ?? 0) > 0) {
                        $reached[$need] = true;
                        $open[] = $need;
                    }
                }
            }
        }

        return $reached;
    }

    private function give(int $need, int $item, int $pieces): void
    {
        if ($pieces !== 0) {
            $this->given[$need][$item] = ($this->given[$need][$item] ?? 0) + $pieces;
            $this->lacks[$need] -= $pieces;
            $this->left[$item] -= $pieces;
        }
    }

    /** Gives that need more, each other need on the way taking another item; false where there is no way. */
    private function grow(int $from): bool
    {
        // How each need was come to: the need before it, and the item that it would hand over.
        $cameBy = [$from => null];
        $open = [$from];
        $seen = [];
        for ($at = 0; $at < count($open); $at++) {
            $need = $open[$at];
            foreach ($this->takes[$need] as $item) {
                if (isset($seen[$item])) {
                    continue;
                }
                $seen[$item] = true;
                if ($this->left[$item] > 0) {
                    $this->hand($from, $need, $item, $cameBy);

                    return true;
                }
                foreach ($this->given as $other => $given) {
                    if (! array_key_exists($other, $cameBy) && ($given[$item] ?? 0) > 0) {
                        $cameBy[$other] = [$need, $item];
                        $open[] = $other;
                    }
                }
            }
        }

        return false;
    }

    /** @param  array<int, array{int, int}|null>  $cameBy */
    private function hand(int $from, int $last, int $item, array $cameBy): void
    {
        $pieces = min($this->lacks[$from], $this->left[$item]);
        for ($need = $last; $cameBy[$need] !== null; $need = $cameBy[$need][0]) {
            $pieces = min($pieces, $this->given[$need][$cameBy[$need][1]]);
        }
        $need = $last;
        $takes = $item;
        $this->left[$item] -= $pieces;
        while (true) {
            $this->given[$need][$takes] = ($this->given[$need][$takes] ?? 0) + $pieces;
            if ($cameBy[$need] === null) {
                break;
            }
            [$before, $handed] = $cameBy[$need];
            $this->given[$need][$handed] -= $pieces;
            [$need, $takes] = [$before, $handed];
        }
        $this->lacks[$from] -= $pieces;
    }
}
