<?php

declare(strict_types=1);

namespace App\Stock;

use App\Judging\Judged;
use App\Stock\Models\Store;
use Sarcina\Core\Lists\Rank;

/**
 * Picks from one store for many kits: the critical needs of all of them, then the required, then the optional ones; within each the kit
 * whose pieces must be in date for the shortest time first, so that what lasts is left for those that need it longer.
 */
final class SharedPicks
{
    public function __construct(private readonly PlanRestock $plan, private readonly GoodStock $stock)
    {
    }

    /**
     * @param  list<Judged>  $kits
     * @return list<RestockPlan> in the order of the kits
     */
    public function among(array $kits, Store $store): array
    {
        $promised = [];
        $order = array_keys($kits);
        $until = static fn (int $at): int => $kits[$at]->atBest()->assignment->policy->goodUntil()->number;
        usort($order, static fn (int $one, int $other): int => [$until($one), $one] <=> [$until($other), $other]);
        $stock = $this->stock->of($store, null);
        $puts = $missing = array_fill_keys($order, []);
        foreach ([Rank::Critical, Rank::Required, Rank::Optional] as $rank) {
            foreach ($order as $at) {
                $before = count($puts[$at]);
                [$puts[$at], $lacking] = $this->plan->choose($kits[$at], $stock, $promised, $rank, $puts[$at]);
                array_push($missing[$at], ...$lacking);
                foreach (array_slice($puts[$at], $before) as $put) {
                    $promised[$put->lotId] = ($promised[$put->lotId] ?? 0) + $put->quantity;
                }
            }
        }

        return array_map(
            fn (int $at): RestockPlan => $this->plan->complete($kits[$at], $stock, $puts[$at], $missing[$at]), array_keys($kits),
        );
    }
}
