<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

/**
 * What one place has of an item, by the day on which pieces expire, and the slots in which it uses them.
 *
 * Days of expiry are numbered over all places, the earliest 0. A slot opens with the first of these by whose end the place has come to it:
 * a piece that expires then or later, put in that slot, is used (rules.md, rotate).
 */
final class Shelf
{
    /** @var array<int, int> pieces by the number of the day on which they expire */
    public array $pieces = [];

    /** @var array<int, int> those of them that may go elsewhere */
    public array $loose = [];

    /** @var array<int, int> slots by the day with which they open; those that no piece is used in are left out */
    public array $slots = [];

    public int $size = 0;

    public function __construct(public readonly string $place)
    {
    }

    public function add(int $expires, Held $held): void
    {
        $this->size += $held->quantity;
        $this->pieces[$expires] = ($this->pieces[$expires] ?? 0) + $held->quantity;
        if (! $held->isFixed) {
            $this->loose[$expires] = ($this->loose[$expires] ?? 0) + $held->quantity;
        }
    }

    /** @param  non-empty-list<int>  $days  until each day of expiry, ascending; PHP_INT_MAX for never */
    public function open(?Rate $rate, array $days): void
    {
        ksort($this->pieces);
        if ($rate === null) {
            return;
        }
        for ($slot = 1; $slot <= $this->size; $slot = $last + 1) {
            $day = self::firstFrom($days, $rate->daysToUse($slot));
            if ($day === null) {
                return;
            }
            $last = $days[$day] === PHP_INT_MAX ? $this->size : $rate->usedIn($days[$day], $this->size);
            $this->slots[$day] = $last - $slot + 1;
        }
    }

    /**
     * The most pieces that are used if these pieces lie in these slots, in their best order.
     *
     * @param  array<int, int>  $pieces
     * @param  array<int, int>  $slots
     */
    public static function used(array $pieces, array $slots): int
    {
        [$used, $free] = [0, 0];
        $days = array_keys($pieces + $slots);
        sort($days);
        // Whatever is open for one piece is open for all that expire later: the earliest takes any of it.
        foreach ($days as $day) {
            $free += $slots[$day] ?? 0;
            $taken = min($free, $pieces[$day] ?? 0);
            $used += $taken;
            $free -= $taken;
        }

        return $used;
    }

    /**
     * @param  non-empty-list<int>  $days
     * @return int|null the first that is at least so many, by its number
     */
    private static function firstFrom(array $days, int $least): ?int
    {
        [$low, $high] = [0, count($days)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $days[$middle] < $least ? [$middle + 1, $high] : [$low, $middle];
        }

        return $low === count($days) ? null : $low;
    }
}
