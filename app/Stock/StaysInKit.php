<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\User;
use App\Judging\KitJudge;
use App\Kits\Models\Kit;
use App\Stock\Models\Store;
use App\Tasks\TasksOfKit;

/** What a restock leaves in a kit until something replaces it becomes somebody's work; within the transaction that records the restock. */
final class StaysInKit
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly PlanRestock $plan,
        private readonly TasksOfKit $tasks,
    ) {
    }

    public function keep(Kit $kit, Store $store, User $by, string $today): void
    {
        $judged = $this->judge->judge($kit, $today);
        $pieces = [];
        $until = [];
        foreach (($this->plan)($judged, $store)->stays as $row) {
            $pieces[$row->lotId] = ($pieces[$row->lotId] ?? 0) + $row->quantity;
            $day = $row->replaceBy($judged);
            $until[$row->lotId] = min($until[$row->lotId] ?? $day, $day);
        }
        foreach ($pieces as $lot => $quantity) {
            $this->tasks->replaceLater($kit, (string) $lot, $quantity, $until[$lot], $by, $today);
        }
    }
}
