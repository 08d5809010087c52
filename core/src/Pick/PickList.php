<?php

declare(strict_types=1);

namespace Sarcina\Core\Pick;

use Sarcina\Core\Calendar\Day;

/** The `pick` rule: which lots go into the kit, first expiring first out (rules.md, pick). */
final readonly class PickList
{
    /**
     * @param  list<Pick>  $picks
     * @param  list<Need>  $missing  what the store does not give
     */
    private function __construct(
        public array $picks,
        public array $missing,
    ) {
    }

    /**
     * @param  Day  $until  the kit's next check and its margin
     * @param  list<Need>  $needs  each item once
     * @param  list<StoredLot>  $store
     */
    public static function of(Day $asOf, Day $until, array $needs, array $store): self
    {
        $picks = [];
        $missing = [];
        foreach ($needs as $need) {
            $wanted = $need->quantity;
            foreach (self::inOrder($asOf, $until, $need, $store) as [$row, $shortDated]) {
                if ($wanted === 0) {
                    break;
                }
                $quantity = min($wanted, $store[$row]->quantity);
                $picks[] = new Pick($row, $store[$row], $quantity, $shortDated);
                $wanted -= $quantity;
            }
            if ($wanted > 0) {
                $missing[] = new Need($need->item, $wanted, $need->dated, $need->shortDated);
            }
        }

        return new self($picks, $missing);
    }

    /**
     * @param  list<StoredLot>  $store
     * @return list<array{int, bool}> rows of the store in the order they are drawn on, and whether each is short dated
     */
    private static function inOrder(Day $asOf, Day $until, Need $need, array $store): array
    {
        $lasting = [];
        $undated = [];
        $short = [];
        foreach ($store as $row => $lot) {
            if ($lot->item !== $need->item || $lot->expires?->isPastOn($asOf) === true) {
                continue;
            }
            if ($lot->expires === null) {
                if (! $need->dated) {
                    $undated[] = [$row, false];
                }
            } elseif ($lot->expires->lastGoodDay->isBefore($until)) {
                $short[$row] = $lot->expires->lastGoodDay->number;
            } else {
                $lasting[$row] = $lot->expires->lastGoodDay->number;
            }
        }
        asort($lasting);
        arsort($short);

        return [
            ...array_map(static fn (int $row): array => [$row, false], array_keys($lasting)),
            ...$undated,
            ...($need->shortDated ? array_map(static fn (int $row): array => [$row, true], array_keys($short)) : []),
        ];
    }
}
