<?php

declare(strict_types=1);

namespace Sarcina\Core\Cope;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\Scope;

/**
 * How many casualties of each emergency a kit's supplies suffice for, each by itself (rules.md, cope). It counts supplies: neither
 * hands nor skill, and it is no treatment advice.
 */
final class Cope
{
    public const MOST = 999;

    /** @var array<int, Item> */
    private array $items = [];

    /** @var array<int, int> effective pieces by item */
    private array $pieces = [];

    /** @var array<string, int> index of an item by its code with a dot before it */
    private array $byCode = [];

    private readonly Scope $scope;

    /**
     * @param  Assignment  $assignment  the kit as `check` judges it: what counts there counts here
     * @param  list<int>  $forAnyone  rows that serve a line open to anyone, whose scope is not compared
     */
    public function __construct(Assignment $assignment, array $forAnyone = [])
    {
        $this->scope = $assignment->kit->scope;
        $forAnyone = array_flip($forAnyone);
        $unscoped = $forAnyone === [] ? $assignment : $assignment->withoutScope();
        foreach ($assignment->contents as $index => $row) {
            if ((isset($forAnyone[$index]) ? $unscoped : $assignment)->isEffective($index)) {
                $at = $this->byCode['.'.$row->item->code] ??= count($this->items);
                $this->items[$at] = $row->item;
                $this->pieces[$at] = ($this->pieces[$at] ?? 0) + $row->quantity;
            }
        }
    }

    public function with(Emergency $emergency): Coping
    {
        if ($emergency->scope->isAbove($this->scope)) {
            return new Coping($emergency->code, 0, Coping::SCOPE, []);
        }
        $takes = array_map($this->itemsFor(...), $emergency->needs);
        $groups = self::groups($takes);
        $casualties = self::MOST;
        foreach ($groups as $group) {
            $casualties = $this->most($emergency->needs, $group, $takes, $casualties);
        }
        $inTheWay = [];
        if ($casualties < self::MOST) {
            foreach ($groups as $group) {
                $inTheWay += $this->sharing($emergency->needs, $group, $takes, $casualties + 1)->inTheWay();
            }
        }
        ksort($inTheWay);

        return new Coping($emergency->code, $casualties, null, array_map(
            static fn (int $need): string => $emergency->needs[$need]->id, array_keys($inTheWay),
        ));
    }

    /**
     * Needs that share items, those of one group with none of another: each group is dealt with by itself.
     *
     * @param  non-empty-list<list<int>>  $takes
     * @return list<non-empty-list<int>> needs by group
     */
    private static function groups(array $takes): array
    {
        $groupOf = [];
        $groups = [];
        foreach ($takes as $need => $items) {
            $own = [$need];
            foreach ($items as $item) {
                $other = $groupOf[$item] ?? null;
                if ($other !== null && isset($groups[$other])) {
                    $own = [...$groups[$other], ...$own];
                    unset($groups[$other]);
                }
            }
            $groups[$need] = $own;
            foreach ($own as $one) {
                foreach ($takes[$one] as $item) {
                    $groupOf[$item] = $need;
                }
            }
        }

        return array_values($groups);
    }

    /**
     * The greatest number of casualties, at most so many, for which the pieces suffice for these needs.
     *
     * @param  non-empty-list<Need>  $needs
     * @param  non-empty-list<int>  $group
     * @param  non-empty-list<list<int>>  $takes
     */
    private function most(array $needs, array $group, array $takes, int $most): int
    {
        // No more than each suffices for by itself, and all of them together.
        $all = [];
        $reusable = $each = 0;
        foreach ($group as $need) {
            $there = 0;
            foreach ($takes[$need] as $item) {
                $there += $this->pieces[$item];
                $all[$item] = $this->pieces[$item];
            }
            $most = match (true) {
                ! $needs[$need]->isReusable => min($most, intdiv($there, $needs[$need]->quantity)),
                $there < $needs[$need]->quantity => 0,
                default => $most,
            };
            $reusable += $needs[$need]->isReusable ? $needs[$need]->quantity : 0;
            $each += $needs[$need]->isReusable ? 0 : $needs[$need]->quantity;
        }
        if (count($group) === 1 || $most === 0) {
            return $most;
        }
        $left = array_sum($all) - $reusable;
        $most = $left < 0 ? 0 : ($each === 0 ? $most : min($most, intdiv($left, $each)));
        // It suffices for fewer where it suffices for more.
        for ($low = 0, $high = $most; $low < $high;) {
            // The most that there can be is nearly always what there is: it is tried first.
            $middle = $high === $most ? $most : intdiv($low + $high + 1, 2);
            if ($this->sharing($needs, $group, $takes, $middle)->isEnough()) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }

    /**
     * @param  non-empty-list<Need>  $needs
     * @param  non-empty-list<int>  $group
     * @param  non-empty-list<list<int>>  $takes
     */
    private function sharing(array $needs, array $group, array $takes, int $casualties): Sharing
    {
        $demands = [];
        foreach ($group as $need) {
            $demands[$need] = $needs[$need]->demand($casualties);
        }

        return new Sharing($demands, $takes, $this->pieces);
    }

    /** @return list<int> items in the kit that the need accepts */
    private function itemsFor(Need $need): array
    {
        $found = [];
        foreach ($need->accepts as $accepted) {
            if ($accepted->item !== null) {
                $at = $this->byCode['.'.$accepted->item] ?? null;
                if ($at !== null) {
                    $found[$at] = true;
                }

                continue;
            }
            foreach ($this->items as $at => $item) {
                if (! isset($found[$at]) && $accepted->matches($item)) {
                    $found[$at] = true;
                }
            }
        }

        return array_keys($found);
    }
}
