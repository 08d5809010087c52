<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

use Sarcina\Core\Flow\LeastCostFlow;

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

    /**
     * Kits of one size in one area are alike here, and so are all that are moved: they are dealt out by their number, over a node
     * for each size there is and one for each size that is asked for, so that it takes no longer where there are thousands.
     */
    private function deal(): void
    {
        $pools = $this->pools();
        $flow = new LeastCostFlow;
        [$source, $sink] = [0, 1];
        $poolNode = 2;
        $wantNode = $poolNode + count($pools);
        $movedNode = $wantNode + count($this->wants);
        $askedNode = $movedNode + count(KitSize::cases());
        $wantsOf = [];
        $taken = [];
        foreach ($this->wants as $want => [$demand, $size, $count]) {
            $flow->edge($wantNode + $want, $sink, $count);
            $wantsOf[$this->demands[$demand]->area][] = $want;
            $taken[$want] = $flow->edge($askedNode + self::place($size), $wantNode + $want, $count);
        }
        $direct = [];
        foreach ($pools as $pool => $kits) {
            $one = $this->kits[$kits[0]];
            $flow->edge($source, $poolNode + $pool, count($kits));
            $flow->edge($poolNode + $pool, $movedNode + self::place($one->size), count($kits), [0, 1, 0]);
            foreach ($wantsOf[$one->area ?? ''] ?? [] as $want) {
                $steps = $one->size?->standsInFor($this->wants[$want][1]);
                if ($steps !== null) {
                    $direct[] = [$pool, $want, $flow->edge($poolNode + $pool, $wantNode + $want, count($kits), [-1, 0, $steps])];
                }
            }
        }
        $moves = [];
        foreach (KitSize::cases() as $from => $size) {
            foreach (KitSize::cases() as $to => $asked) {
                $steps = $size->standsInFor($asked);
                if ($steps !== null) {
                    $moves[] = [$from, $to, $flow->edge($movedNode + $from, $askedNode + $to, count($this->kits), [-1, 0, $steps])];
                }
            }
        }
        $flow->send($source, $sink);
        foreach ($direct as [$pool, $want, $edge]) {
            $this->serve(self::take($pools[$pool], $flow->along($edge)), $want);
        }
        $moved = [];
        foreach ($pools as $kits) {
            foreach ($kits as $kit) {
                $moved[self::place($this->kits[$kit]->size)][] = $kit;
            }
        }
        $asked = [];
        foreach ($moves as [$from, $to, $edge]) {
            $there = $moved[$from] ?? [];
            $asked[$to] = [...($asked[$to] ?? []), ...self::take($there, $flow->along($edge))];
            $moved[$from] = $there;
        }
        foreach ($taken as $want => $edge) {
            $place = self::place($this->wants[$want][1]);
            $there = $asked[$place];
            $this->serve(self::take($there, $flow->along($edge)), $want);
            $asked[$place] = $there;
        }
        ksort($this->serves);
    }

    /** @param  list<int>  $kits */
    private function serve(array $kits, int $want): void
    {
        foreach ($kits as $kit) {
            $this->serves[$kit] = $want;
        }
    }

    /**
     * @param  list<int>  $kits  of which so many are taken away
     * @return list<int>
     */
    private static function take(array &$kits, int $count): array
    {
        return array_splice($kits, 0, $count);
    }

    private static function place(?KitSize $size): int
    {
        return (int) array_search($size, KitSize::cases(), true);
    }

    /** @return list<list<int>> places of kits that are of one size and in one area; none is empty */
    private function pools(): array
    {
        $pools = [];
        foreach ($this->kits as $index => $kit) {
            if ($kit->size !== null) {
                $pools["{$kit->size->value} {$kit->area}"][] = $index;
            }
        }

        return array_values($pools);
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
        $served = array_count_values($this->serves);
        $missing = [];
        foreach ($this->wants as $want => [$demand, $size, $count]) {
            for ($left = $count - ($served[$want] ?? 0); $left > 0; $left--) {
                $missing[$demand][] = ['size' => $size, 'modules' => []];
            }
        }
        $kitsIn = $this->kitsByDemand();
        foreach ($this->demands as $index => $demand) {
            $makes = $missing[$index] ?? [];
            $there = $kitsIn[$index] ?? [];
            $upgrades = [];
            foreach ($demand->modules as $module => $count) {
                $without = [];
                foreach ($there as $kit) {
                    in_array($module, $kit->modules, true) ? $count-- : $without[] = $kit;
                }
                // A kit of the place before a kit that a person or a vehicle takes away; then the one that takes the fewest.
                usort(
                    $without,
                    static fn (HeldKit $one, HeldKit $other): int => [! $one->size?->isForThePlace(), count($upgrades[$one->id] ?? [])] <=> [
                        ! $other->size?->isForThePlace(),
                        count($upgrades[$other->id] ?? []),
                    ],
                );
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

    /** @return array<int, list<HeldKit>> by demand: those that serve the area, or are in it beside any plan */
    private function kitsByDemand(): array
    {
        $demandOf = [];
        foreach ($this->demands as $index => $demand) {
            $demandOf[$demand->area] = $index;
        }
        $kits = [];
        foreach ($this->kits as $index => $kit) {
            $demand = isset($this->serves[$index])
                ? $this->wants[$this->serves[$index]][0]
                : ($kit->size === null && $kit->area !== null
                    ? $demandOf[$kit->area] ?? null
                    : null);
            if ($demand !== null) {
                $kits[$demand][] = $kit;
            }
        }

        return $kits;
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
