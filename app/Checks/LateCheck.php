<?php

declare(strict_types=1);

namespace App\Checks;

use App\Judging\ContentRow;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Ledger\OperationKind;
use App\Ledger\OperationSince;
use App\Ledger\WhenDone;
use Illuminate\Support\Facades\DB;

/**
 * What a full check means for the contents, where other things were recorded since its checker began: whether it stands, and what
 * lies in the kit after it (docs/rules.md, what arrives late).
 */
final class LateCheck
{
    /** @param  list<OperationSince>  $since */
    public function standing(WhenDone $when, array $since): string
    {
        $standing = 'stands';
        foreach ($since as $operation) {
            if (! $operation->isStandingFullCheck()) {
                continue;
            }
            if ($operation->when->isClearlyAfter($when)) {
                return 'superseded';
            }
            if (! $when->isClearlyAfter($operation->when)) {
                $standing = 'disputed';
            }
        }

        return $standing;
    }

    /**
     * @param  list<OperationSince>  $since
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $counted
     */
    public function contents(Kit $kit, WhenDone $when, array $since, array $before, array $counted): ContentsAfter
    {
        [$after, $during] = $this->moved($kit, $when, $since);
        $rows = [];
        $sum = [];
        foreach ([[$counted, 1], [$before, 0]] as [$some, $times]) {
            foreach ($some as $row) {
                $rows[$row->key()] ??= $row;
                $sum[$row->key()] = ($sum[$row->key()] ?? 0) + $times * $row->quantity;
            }
        }
        $recorded = [];
        foreach ($before as $row) {
            $recorded[$row->key()] = ($recorded[$row->key()] ?? 0) + $row->quantity;
        }
        $doubt = [];
        foreach ($sum as $key => $quantity) {
            $then = $quantity + ($after[$key] ?? 0);
            // Fewer than none were left: what came first cannot be as it was told.
            if (isset($during[$key]) || $then < 0) {
                $doubt[$key] = true;
                $then = $recorded[$key] ?? 0;
            }
            $sum[$key] = $then;
        }
        $contents = [];
        foreach ($rows as $key => $row) {
            if ($sum[$key] > 0) {
                $contents[] = $row->of($sum[$key]);
            }
        }

        return new ContentsAfter($contents, array_map(strval(...), array_keys($doubt)));
    }

    /**
     * What was put in and taken out since, by pocket, lot and condition: after the check was done, and while it went on or nobody knows when.
     *
     * @param  list<OperationSince>  $since
     * @return array{array<string, int>, array<string, true>}
     */
    private function moved(Kit $kit, WhenDone $when, array $since): array
    {
        $isAfter = [];
        foreach ($since as $operation) {
            // What changed its pocket with an edition is carried over with what was counted (CarriedOver).
            if ($operation->kind->isCheck() || $operation->kind === OperationKind::Change || $when->isClearlyAfter($operation->when)) {
                continue;
            }
            $isAfter[$operation->number] = $when->isSure() && $operation->when->isSure() && $operation->when->doneAt->greaterThan($when->doneAt);
        }
        $after = [];
        $during = [];
        $ids = array_map(static fn (Kit $one): string => $one->id, $kit->whole());
        $movements = DB::table('movements')->whereIn('operation_number', array_keys($isAfter))
            ->where(fn ($query) => $query->whereIn('from_kit_id', $ids)->orWhereIn('to_kit_id', $ids))->get();
        foreach ($movements as $movement) {
            foreach (['from' => -1, 'to' => 1] as $end => $sign) {
                $in = $movement->{"{$end}_kit_id"};
                if (! in_array($in, $ids, true)) {
                    continue;
                }
                $before = $in === $kit->id ? '' : "{$in}.";
                $key = "{$before}{$movement->{"{$end}_pocket_id"}} {$movement->lot_id} {$movement->{"{$end}_condition"}}";
                if ($isAfter[$movement->operation_number]) {
                    $after[$key] = ($after[$key] ?? 0) + $sign * (int) $movement->quantity;
                } else {
                    $during[$key] = true;
                }
            }
        }

        return [$after, $during];
    }

    /** Whether the kit was taken out of service only after that was done. */
    public function wasBeforeRetirement(Kit $kit, WhenDone $when): bool
    {
        $retired = DB::table('kit_changes')
            ->join('operations', 'operations.number', '=', 'kit_changes.operation_number')
            ->where('kit_changes.kit_id', $kit->id)
            ->where('kit_changes.field', 'retired')
            ->orderByDesc('operations.number')
            ->value('operations.done_at');

        return is_string($retired) && KitHistory::instant($when->doneAt) < $retired;
    }
}
