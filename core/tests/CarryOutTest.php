<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Provision\CarryOut;
use Sarcina\Core\Provision\Demand;
use Sarcina\Core\Provision\HeldKit;
use Sarcina\Core\Provision\KitSize;
use Sarcina\Core\Provision\Task;
use Sarcina\Core\Provision\TaskKind;

/** From the kits that exist to the kits that a plan asks for. */
final class CarryOutTest extends TestCase
{
    public function test_a_plan_that_is_met_asks_for_no_work(): void
    {
        $this->assertSame([], $this->work([new Demand('a', ['medium' => 1], ['burn' => 1])], [new HeldKit('K1', 'a', KitSize::Medium, ['burn'])]));
        $this->assertSame([], $this->work([], []));
        $this->assertSame(['make small in a'], $this->work([new Demand('a', ['small' => 1], [])], []));
    }

    public function test_a_larger_kit_stands_in_and_a_smaller_never_does(): void
    {
        $this->assertSame([], $this->work([new Demand('a', ['small' => 1], [])], [new HeldKit('K1', 'a', KitSize::Large, [])]));
        $this->assertSame(
            ['make large in a', 'retire K1 in a'],
            $this->work([new Demand('a', ['large' => 1], [])], [new HeldKit('K1', 'a', KitSize::Medium, [])]),
        );
        $this->assertSame(
            ['make vehicle in a', 'retire K1 in a'],
            $this->work([new Demand('a', ['vehicle' => 1], [])], [new HeldKit('K1', 'a', KitSize::Large, [])]),
        );
        $this->assertSame([], $this->work([new Demand('a', ['class-a' => 1], [])], [new HeldKit('K1', 'a', KitSize::ClassB, [])]));
    }

    public function test_a_kit_is_moved_before_one_is_made_and_the_right_one(): void
    {
        $this->assertSame(['move K2 to b'], $this->work(
            [new Demand('a', ['medium' => 1], []), new Demand('b', ['small' => 1], [])],
            [new HeldKit('K1', 'a', KitSize::Medium, []), new HeldKit('K2', 'a', KitSize::Small, [])],
        ));
        $this->assertSame(['move K1 to a'], $this->work([new Demand('a', ['small' => 1], [])], [new HeldKit('K1', null, KitSize::Small, [])]));
    }

    public function test_dealing_out_in_turn_would_make_one_kit_too_many(): void
    {
        // The first want could take the large kit; then nothing is left for the second.
        $this->assertSame([], $this->work(
            [new Demand('a', ['small' => 1, 'large' => 1], [])],
            [new HeldKit('K1', 'a', KitSize::Large, []), new HeldKit('K2', 'a', KitSize::Medium, [])],
        ));
    }

    public function test_modules_go_into_kits_of_the_place_first_then_into_new_ones(): void
    {
        $this->assertSame(['upgrade K1 in a with burn,eye'], $this->work(
            [new Demand('a', ['small' => 1, 'travel' => 1], ['burn' => 1, 'eye' => 1])],
            [new HeldKit('K2', 'a', KitSize::Travel, []), new HeldKit('K1', 'a', KitSize::Small, [])],
        ));
        $this->assertSame(
            ['make small in a with burn', 'upgrade K1 in a with burn'],
            $this->work([new Demand('a', ['small' => 2], ['burn' => 2])], [new HeldKit('K1', 'a', KitSize::Small, [])]),
        );
        $this->assertSame(
            ['make small in a', 'make small in a with burn'],
            $this->work([new Demand('a', ['small' => 2], ['burn' => 1])], []),
            'One module goes into one of them.',
        );
        $this->assertSame(
            ['upgrade K1 in a with remote'],
            $this->work([new Demand('a', ['travel' => 2], ['remote' => 1])], [
                new HeldKit('K1', 'a', KitSize::Travel, []), new HeldKit('K2', 'a', KitSize::Travel, []),
            ]),
        );
        $this->assertSame(
            ['upgrade K1 in a with burn'],
            $this->work([new Demand('a', ['small' => 2], ['burn' => 1])], [
                new HeldKit('K1', 'a', KitSize::Small, []), new HeldKit('K2', 'a', KitSize::Small, []),
            ]),
        );
        $this->assertSame(
            ['upgrade K1 in a with remote'],
            $this->work([new Demand('a', ['travel' => 1], ['remote' => 1])], [new HeldKit('K1', 'a', KitSize::Travel, [])]),
        );
    }

    public function test_two_modules_of_two_kinds_are_spread_over_the_kits(): void
    {
        $tasks = $this->work(
            [new Demand('a', ['small' => 2], ['burn' => 1, 'eye' => 1])],
            [new HeldKit('K1', 'a', KitSize::Small, []), new HeldKit('K2', 'a', KitSize::Small, [])],
        );
        $this->assertSame(['upgrade K1 in a with burn', 'upgrade K2 in a with eye'], $tasks);
    }

    public function test_a_kit_beside_any_plan_is_left_alone_but_its_module_counts(): void
    {
        $this->assertSame(
            [],
            $this->work([new Demand('a', [], ['burn' => 1])], [new HeldKit('E1', 'a', null, ['burn']), new HeldKit('E2', 'a', null, [])]),
        );
    }

    public function test_a_module_without_any_kit_is_a_pouch_of_its_own(): void
    {
        $this->assertSame(['make pouch in a with burn'], $this->work([new Demand('a', [], ['burn' => 1])], []));
    }

    public function test_it_finds_the_least_work_as_a_search_through_all_ways_does(): void
    {
        mt_srand(20261123);
        for ($round = 0; $round < 250; $round++) {
            $sizes = [KitSize::Small, KitSize::Medium, KitSize::Large, KitSize::Travel];
            $demands = [];
            foreach (['a', 'b', 'c'] as $area) {
                $kits = [];
                foreach ($sizes as $size) {
                    $kits[$size->value] = mt_rand(0, 5) === 0 ? 2 : mt_rand(0, 1);
                }
                $demands[] = new Demand($area, $kits, []);
            }
            $held = [];
            for ($kit = mt_rand(0, 5); $kit > 0; $kit--) {
                $held[] = new HeldKit("K{$kit}", ['a', 'b', 'c', null][mt_rand(0, 3)], $sizes[mt_rand(0, 3)], []);
            }
            $tasks = CarryOut::tasks($demands, $held);
            $count = static fn (TaskKind $kind): int => count(array_filter($tasks, static fn (Task $task): bool => $task->kind === $kind));
            [$made, $moved] = self::leastBySearch($demands, $held);
            $this->assertSame([$made, $moved], [$count(TaskKind::Make), $count(TaskKind::Move)], "Round {$round}.");
        }
    }

    /**
     * @param  list<Demand>  $demands
     * @param  list<HeldKit>  $kits
     * @return array{int, int} the fewest kits made, and with these the fewest moved
     */
    private static function leastBySearch(array $demands, array $kits): array
    {
        if ($kits === []) {
            return [array_sum(array_map(static fn (Demand $demand): int => array_sum($demand->kits), $demands)), 0];
        }
        $kit = array_shift($kits);
        $best = self::leastBySearch($demands, $kits);
        foreach ($demands as $index => $demand) {
            foreach ($demand->kits as $size => $count) {
                if ($count > 0 && $kit->size?->standsInFor(KitSize::from($size)) !== null) {
                    $rest = $demands;
                    $rest[$index] = new Demand($demand->area, [...$demand->kits, $size => $count - 1], []);
                    [$made, $moved] = self::leastBySearch($rest, $kits);
                    $best = min($best, [$made, $moved + ($kit->area === $demand->area ? 0 : 1)]);
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<Demand>  $demands
     * @param  list<HeldKit>  $kits
     * @return list<string>
     */
    private function work(array $demands, array $kits): array
    {
        $said = array_map(static fn (Task $task): string => match ($task->kind) {
            TaskKind::Make => 'make '.($task->size->value ?? 'pouch')." in {$task->area}",
            TaskKind::Move => "move {$task->kit} to {$task->area}",
            TaskKind::Upgrade => "upgrade {$task->kit} in {$task->area}",
            TaskKind::Retire => "retire {$task->kit} in {$task->area}",
        }.($task->modules === [] ? '' : ' with '.implode(',', $task->modules)), CarryOut::tasks($demands, $kits));
        sort($said);

        return $said;
    }
}
