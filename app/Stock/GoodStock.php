<?php

declare(strict_types=1);

namespace App\Stock;

use App\Rounds\Boxed;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Pick\StoredLot;

/** Finds the good pieces in a store, without recalled lots and those picked into the box of a round for other kits. */
final class GoodStock
{
    /** @return list<OnShelf> in the order they came */
    public function of(Store $store, ?string $forKit): array
    {
        $held = DB::table('holdings')
            ->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->leftJoinSub(Boxed::at($store->id, $forKit), 'boxed', 'boxed.lot_id', '=', 'holdings.lot_id')
            ->where('holdings.store_id', $store->id)->where('holdings.condition', 'good')->whereNull('lots.recalled_on')
            ->whereRaw('holdings.quantity > COALESCE(boxed.pieces, 0)')->orderBy('holdings.id')
            ->selectRaw('holdings.lot_id, holdings.quantity - COALESCE(boxed.pieces, 0) AS quantity, lots.number, lots.expires, items.code')->get();

        return array_values($held->map(static fn (object $row): OnShelf => new OnShelf(
            $row->lot_id,
            new StoredLot($row->code, $row->number, $row->expires === null ? null : PrintedDate::of($row->expires), (int) $row->quantity),
        ))->all());
    }
}
