<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

use Sarcina\Core\Calendar\Day;

/** What pieces of one item should change places, what that saves, and what is wasted all the same (rules.md, rotate). */
final readonly class ItemRotation
{
    /**
     * @param  int  $value  of a piece, in whole minor units
     * @param  int  $saved  pieces used that would not be without any change
     * @param  list<Move>  $moves
     * @param  int  $wasted  pieces that the plan does not use
     */
    private function __construct(
        public string $item,
        public int $value,
        public int $saved,
        public array $moves,
        public int $wasted,
    ) {
    }

    /**
     * @param  list<Held>  $held  of that item
     * @param  array<string, Rate>  $rates  by place
     */
    public static function of(string $item, int $value, Day $asOf, array $held, array $rates): self
    {
        $all = array_sum(array_map(static fn (Held $one): int => $one->quantity, $held));
        $held = array_values(array_filter($held, static fn (Held $one): bool => ! $one->isExpired($asOf)));
        if ($held === []) {
            return new self($item, $value, 0, [], $all);
        }
        [$days, $numbers] = self::days($asOf, $held);
        $shelves = self::shelves($held, $numbers, $days, $rates);
        $unmoved = array_sum(array_map(static fn (Shelf $one): int => Shelf::used($one->pieces, $one->slots), $shelves));
        // Were all places one, no more could be used than this: where it is reached already, nothing moves.
        if ($unmoved === Shelf::used(self::together($shelves, 'pieces'), self::together($shelves, 'slots'))) {
            return new self($item, $value, 0, [], $all - $unmoved);
        }
        $exchange = new Exchange($shelves, count($days));

        return new self(
            $item, $value, $exchange->used() - $unmoved, self::moves($exchange, $shelves, $held, $numbers), $all - $exchange->used(),
        );
    }

    /**
     * @param  non-empty-list<Held>  $held
     * @return array{non-empty-list<int>, array<int, int>} days from `as_of` until pieces expire, ascending, and the number of each
     */
    private static function days(Day $asOf, array $held): array
    {
        $days = array_map(static fn (Held $one): int => self::daysLeft($one, $asOf), $held);
        $days = array_values(array_unique($days));
        sort($days);
        $number = array_flip($days);

        return [$days, array_map(static fn (Held $one): int => $number[self::daysLeft($one, $asOf)], $held)];
    }

    private static function daysLeft(Held $held, Day $asOf): int
    {
        return $held->expires === null ? PHP_INT_MAX : $held->expires->lastGoodDay->number - $asOf->number;
    }

    /**
     * @param  list<Held>  $held
     * @param  array<int, int>  $numbers  of the day on which each row expires
     * @param  non-empty-list<int>  $days
     * @param  array<string, Rate>  $rates
     * @return list<Shelf>
     */
    private static function shelves(array $held, array $numbers, array $days, array $rates): array
    {
        $shelves = [];
        foreach ($held as $row => $one) {
            // A dot before it, so that a place named "7" stays text.
            $shelf = $shelves['.'.$one->place] ??= new Shelf($one->place);
            $shelf->add($numbers[$row], $one);
        }
        foreach ($shelves as $key => $shelf) {
            $shelf->open($rates[$key] ?? null, $days);
        }

        return array_values($shelves);
    }

    /**
     * @param  list<Shelf>  $shelves
     * @param  'pieces'|'slots'  $of
     * @return array<int, int>
     */
    private static function together(array $shelves, string $of): array
    {
        $together = [];
        foreach ($shelves as $shelf) {
            foreach ($shelf->{$of} as $day => $number) {
                $together[$day] = ($together[$day] ?? 0) + $number;
            }
        }

        return $together;
    }

    /**
     * @param  list<Shelf>  $shelves
     * @param  list<Held>  $held
     * @param  array<int, int>  $numbers
     * @return list<Move>
     */
    private static function moves(Exchange $exchange, array $shelves, array $held, array $numbers): array
    {
        $rows = [];
        foreach ($held as $row => $one) {
            if (! $one->isFixed) {
                $rows["{$numbers[$row]} {$one->place}"][$row] = $one;
            }
        }
        $left = array_map(static fn (Held $one): int => $one->quantity, $held);
        $moves = [];
        foreach ($exchange->changes() as [$from, $day, $to, $quantity]) {
            $key = "{$day} {$shelves[$from]->place}";
            foreach ($rows[$key] ?? [] as $row => $one) {
                $taken = min($left[$row], $quantity);
                if ($taken === 0) {
                    continue;
                }
                $left[$row] -= $taken;
                $quantity -= $taken;
                $move = new Move($one->item, $one->lot, $one->expires, $one->place, $shelves[$to]->place, $taken);
                $same = serialize([$move->lot, $move->expires?->text, $move->from, $move->to]);
                $moves[$same] = isset($moves[$same]) ? $moves[$same]->plus($taken) : $move;
            }
        }

        return array_values($moves);
    }
}
