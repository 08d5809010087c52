<?php

declare(strict_types=1);

namespace App\Stock;

use App\Ledger\Base;
use App\Ledger\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What was put on a shelf and taken from it since somebody began to count it: after they counted, and while they did. */
final class MovedSince
{
    public function at(string $storeId, Base $base, WhenDone $when): MovedPieces
    {
        $operations = DB::table('operation_stores')->join('operations', 'operations.number', '=', 'operation_stores.operation_number')
            ->where('operation_stores.store_id', $storeId)
            ->where(static fn ($since) => $since->where('operations.epoch', '>', $base->epoch)
                ->orWhere(static fn ($same) => $same->where('operations.epoch', $base->epoch)->where('operations.number', '>', $base->number)))
            ->get(['operations.number', 'operations.begun_at', 'operations.done_at', 'operations.clock_checked_at', 'operations.received_at'])
            ->keyBy('number');
        $after = [];
        $inDoubt = [];
        foreach (DB::table('movements')->whereIn('operation_number', $operations->keys()->all())
            ->where(static fn ($end) => $end->where('from_store_id', $storeId)->orWhere('to_store_id', $storeId))
            ->get(['operation_number', 'lot_id', 'quantity', 'from_store_id', 'to_store_id', 'from_condition', 'to_condition']) as $row) {
            $operation = $operations[$row->operation_number];
            $other = new WhenDone(
                CarbonImmutable::parse($operation->begun_at, 'UTC'), CarbonImmutable::parse($operation->done_at, 'UTC'),
                CarbonImmutable::parse($operation->received_at, 'UTC'),
                $operation->clock_checked_at === null ? null : CarbonImmutable::parse($operation->clock_checked_at, 'UTC'),
            );
            foreach (['from' => -1, 'to' => 1] as $end => $sign) {
                if ($row->{"{$end}_store_id"} !== $storeId) {
                    continue;
                }
                $key = "{$row->lot_id} {$row->{"{$end}_condition"}}";
                if ($other->isClearlyAfter($when)) {
                    $after[$key] = ($after[$key] ?? 0) + $sign * (int) $row->quantity;
                } elseif (! $when->isClearlyAfter($other)) {
                    $inDoubt[$key] = true;
                }
            }
        }

        return new MovedPieces($after, $inDoubt);
    }
}
