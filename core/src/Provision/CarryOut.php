<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

use Sarcina\Core\Check\LeastCostFlow;

/**
 * The difference between a plan and the kits that exist, as work.
 *
 * Kits are dealt out to what the areas ask for so that, in this order, these are least: the kits to make, the kits
 * to move, the steps by which a kit is larger than asked. A smaller kit never stands in for a larger one. Kits that
 * no area asks for are to be retired; a kit that is no size of any plan is left alone, but its modules count.
 */
final class CarryOut
{
    /** @var list<array{int, KitSize, int}> demand, size, how many */
    private array $wants = [];

    /** @var array<int, int> by kit: the place in `wants` that it serves */
    private array $serves = [];

    /**
     * @param  list<Demand>  $demands
     * @param  list<HeldKit>  $kits
     */
    private function __construct(private readonly array $demands, private readonly array $kits)
    {
        foreach ($demands as $index => $demand) {
            foreach ($demand->kits as $size => $count) {
                if ($count > 0) {
                    $this->wants[] = [$index, KitSize::from($size), $count];
                }
            }
        }
    }

    /**
     * @param  list<Demand>  $demands  an area once
     * @param  list<HeldKit>  $kits
     * @return list<Task>
     */
    public static function tasks(array $demands, array $kits): array
    {
        $work = new self($demands, $kits);
        $work->deal();

        return [...$work->moves(), ...$work->makesAndUpgrades(), ...$work->retires()];
    }

    private function deal(): void
    {
        $flow = new LeastCostFlow;
        [$source, $sink] = [0, 1];
        $edges = [];
        foreach ($this->wants as $want => [, , $count]) {
            $flow->edge(2 + count($this->kits) + $want, $sink, $count);
        }
        foreach ($this->kits as $index => $kit) {
            $flow->edge($source, 2 + $index, 1);
            foreach ($this->wants as $want => [$demand, $size]) {
                $steps = $kit->size?->standsInFor($size);
                if ($steps !== null) {
                    $isMoved = $kit->area !== $this->demands[$demand]->area;
                    $edges[] = [$index, $want, $flow->edge(2 + $index, 2 + count($this->kits) + $want, 1, [-1, $isMoved ? 1 : 0, $steps])];
                }
            }
        }
        if ($edges === []) {
            return;
        }
        $flow->send($source, $sink);
        foreach ($edges as [$kit, $want, $edge]) {
            if ($flow->along($edge) > 0) {
                $this->serves[$kit] = $want;
            }
        }
    }

    /** @return list<Task> */
    private function moves(): array
    {
        $tasks = [];
        foreach ($this->serves as $kit => $want) {
            [$demand, $size] = $this->wants[$want];
            if ($this->kits[$kit]->area !== $this->demands[$demand]->area) {
                $tasks[] = new Task(TaskKind::Move, $this->demands[$demand]->area, $this->kits[$kit]->id, $size, []);
            }
        }

        return $tasks;
    }

    /** @return list<Task> kits to make, with the modules that no kit there can take, and kits to upgrade */
    private function makesAndUpgrades(): array
    {
        $tasks = [];
        foreach ($this->demands as $index => $demand) {
            $makes = [];
            foreach ($this->wants as $want => [$of, $size, $count]) {
                for ($left = $of === $index ? $count - count(array_keys($this->serves, $want, true)) : 0; $left > 0; $left--) {
                    $makes[] = ['size' => $size, 'modules' => []];
                }
            }
            $there = $this->kitsIn($index);
            $upgrades = [];
            foreach ($demand->modules as $module => $count) {
                $without = [];
                foreach ($there as $kit) {
                    in_array($module, $kit->modules, true) ? $count-- : $without[] = $kit;
                }
                // A kit of the place before a kit that a person or a vehicle takes away; then the one that takes the fewest.
                usort($without, static fn (HeldKit $one, HeldKit $other): int => [! $one->size?->isForThePlace(), count($upgrades[$one->id] ?? [])] <=> [! $other->size?->isForThePlace(), count($upgrades[$other->id] ?? [])]);
                foreach ($without as $kit) {
                    if ($count > 0 && $kit->size?->isForThePlace() === true) {
                        $upgrades[$kit->id][] = $module;
                        $count--;
                    }
                }
                foreach (array_keys($makes) as $make) {
                    if ($count > 0) {
                        $makes[$make]['modules'][] = $module;
                        $count--;
                    }
                }
                foreach ($without as $kit) {
                    if ($count > 0 && $kit->size?->isForThePlace() !== true) {
                        $upgrades[$kit->id][] = $module;
                        $count--;
                    }
                }
                for (; $count > 0; $count--) {
                    // There is no kit to put it into: it is a pouch of its own.
                    $tasks[] = new Task(TaskKind::Make, $demand->area, null, null, [$module]);
                }
            }
            foreach ($makes as $make) {
                $tasks[] = new Task(TaskKind::Make, $demand->area, null, $make['size'], $make['modules']);
            }
            foreach ($upgrades as $kit => $modules) {
                $tasks[] = new Task(TaskKind::Upgrade, $demand->area, (string) $kit, null, $modules);
            }
        }

        return $tasks;
    }

    /** @return list<HeldKit> that serve the area, or lie in it beside any plan */
    private function kitsIn(int $demand): array
    {
        return array_values(array_filter($this->kits, fn (HeldKit $kit, int $index): bool => isset($this->serves[$index])
            ? $this->wants[$this->serves[$index]][0] === $demand
            : $kit->size === null && $kit->area === $this->demands[$demand]->area, ARRAY_FILTER_USE_BOTH));
    }

    /** @return list<Task> */
    private function retires(): array
    {
        $tasks = [];
        foreach ($this->kits as $index => $kit) {
            if ($kit->size !== null && ! isset($this->serves[$index])) {
                $tasks[] = new Task(TaskKind::Retire, $kit->area, $kit->id, $kit->size, []);
            }
        }

        return $tasks;
    }
}
