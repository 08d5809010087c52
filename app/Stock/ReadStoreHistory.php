<?php

declare(strict_types=1);

namespace App\Stock;

use App\Judging\Words;
use App\Ledger\KitHistory;
use App\Ledger\OperationKind;
use App\Stock\Http\StoreEntry;
use App\Stock\Http\StoreHistory;
use App\Stock\Models\Store;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;
use stdClass;

/** What was done at a store, newest first: what came, what was counted otherwise, what went where. */
final class ReadStoreHistory
{
    private const SHOWN = 40;

    private const MOVEMENTS = 12;

    public function __invoke(Store $store): StoreHistory
    {
        $operations = DB::table('operation_stores')->join('operations', 'operations.number', '=', 'operation_stores.operation_number')
            ->where('operation_stores.store_id', $store->id)->orderByDesc('operation_stores.operation_number')->limit(self::SHOWN)
            ->get(['operations.number', 'operations.kind', 'operations.user_name', 'operations.done_at', 'operations.note']);
        $numbers = $operations->pluck('number')->all();
        $movements = DB::table('movements')->whereIn('operation_number', $numbers)
            ->where(static fn ($end) => $end->where('from_store_id', $store->id)->orWhere('to_store_id', $store->id))
            ->leftJoin('kits as from_kits', 'from_kits.id', '=', 'from_kit_id')->leftJoin('kits as to_kits', 'to_kits.id', '=', 'to_kit_id')
            ->leftJoin('stores as from_stores', 'from_stores.id', '=', 'from_store_id')
            ->leftJoin('stores as to_stores', 'to_stores.id', '=', 'to_store_id')
            ->orderBy('operation_number')->orderBy('position')
            ->get([
                'movements.*', 'from_kits.code as from_kit', 'to_kits.code as to_kit', 'from_stores.name as from_store', 'to_stores.name as to_store',
            ])
            ->groupBy('operation_number');
        $receipts = DB::table('receipts')->whereIn('operation_number', $numbers)->orderBy('position')->get()->groupBy('operation_number');

        return new StoreHistory(array_values($operations->map(static fn (stdClass $row): StoreEntry => new StoreEntry(
            (int) $row->number, OperationKind::from($row->kind)->kind()->title(), $row->user_name ?? 'the system',
            KitHistory::said($row->done_at),
            self::note($row->note, $receipts->get($row->number)?->first()),
            self::say($movements->get($row->number) ?? collect(), $store->id),
        ))->all()));
    }

    private static function note(?string $note, ?stdClass $receipt): ?string
    {
        $parts = array_filter([
            $note, $receipt?->supplier === null ? null : "from {$receipt->supplier}",
            $receipt?->delivery_note === null ? null : "delivery note {$receipt->delivery_note}",
        ]);

        return $parts === [] ? null : implode(', ', $parts);
    }

    /**
     * @param  Collection<int, stdClass>  $movements
     * @return list<string>
     */
    private static function say(Collection $movements, string $storeId): array
    {
        $said = array_values($movements->take(self::MOVEMENTS)->map(static function (stdClass $row) use ($storeId): string {
            $isIn = $row->to_store_id === $storeId;
            $other = $isIn ? ($row->from_kit ?? $row->from_store) : ($row->to_kit ?? $row->to_store);
            $way = match (true) {
                $row->reason === 'quarantined' => 'set apart',
                $row->reason === 'released' => 'put back into stock',
                $row->reason === 'repacked' => $isIn ? 'into another container' : 'out of the pack',
                $row->reason === 'lent' => $isIn ? 'came back' : 'lent',
                $row->reason === 'borrowed' => $isIn ? 'borrowed' : 'given back',
                $other !== null => ($isIn ? 'from ' : 'to ').$other,
                $row->reason === 'counted' => $isIn ? 'more than recorded' : 'fewer than recorded',
                $row->reason === 'discarded' => 'disposed of',
                default => 'received',
            };
            $expires = $row->expires === null ? '' : ', expires '.Words::date((string) PrintedDate::of($row->expires)->lastGoodDay);

            return "{$row->quantity} × {$row->item_name}".($row->lot_number === null ? '' : ", lot {$row->lot_number}").$expires.": {$way}";
        })->all());
        $more = $movements->count() - count($said);

        return $more > 0 ? [...$said, "and {$more} more"] : $said;
    }
}
