<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

use Sarcina\Core\Calendar\Day;

/** What should move to where it will be used, each item by itself (rules.md, rotate). */
final readonly class Rotation
{
    /** @param  list<ItemRotation>  $items */
    private function __construct(public array $items)
    {
    }

    /**
     * @param  list<array{string, int}>  $items  with what a piece is worth, in whole minor units
     * @param  list<Held>  $held
     * @param  list<Used>  $used
     */
    public static function of(Day $asOf, array $items, array $held, array $used): self
    {
        // A dot before each key, so that a name such as "7" stays text.
        [$rows, $rates] = [[], []];
        foreach ($held as $one) {
            $rows['.'.$one->item][] = $one;
        }
        foreach ($used as $one) {
            if ($one->rate !== null) {
                $rates['.'.$one->item]['.'.$one->place] = $one->rate;
            }
        }

        return new self(array_map(static fn (array $item): ItemRotation => ItemRotation::of(
            $item[0], $item[1], $asOf, $rows['.'.$item[0]] ?? [], $rates['.'.$item[0]] ?? [],
        ), $items));
    }

    /** In pieces. */
    public function saved(): int
    {
        return array_sum(array_map(static fn (ItemRotation $one): int => $one->saved, $this->items));
    }

    /** In whole minor units. */
    public function value(): int
    {
        return array_sum(array_map(static fn (ItemRotation $one): int => $one->saved * $one->value, $this->items));
    }

    /** @return list<Move> */
    public function moves(): array
    {
        return array_merge(...array_map(static fn (ItemRotation $one): array => $one->moves, $this->items));
    }
}
