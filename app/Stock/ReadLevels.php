<?php

declare(strict_types=1);

namespace App\Stock;

use App\Stock\Http\StoreLevel;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The levels of a store, what is below its least first. */
final class ReadLevels
{
    /** @return list<StoreLevel> */
    public function of(Store $store, string $today): array
    {
        $rows = DB::table('store_levels')->join('items', 'items.id', '=', 'store_levels.item_id')->where('store_levels.store_id', $store->id)
            ->leftJoin('lots', 'lots.item_id', '=', 'items.id')
            ->leftJoin('holdings', static fn ($join) => $join->on('holdings.lot_id', '=', 'lots.id')
                ->on('holdings.store_id', '=', 'store_levels.store_id')->where('holdings.condition', 'good'))
            ->groupBy('items.id', 'items.code', 'items.name', 'store_levels.least', 'store_levels.target')
            ->orderBy('items.name')
            ->selectRaw('items.code, items.name, store_levels.least, store_levels.target, '.
                '(SELECT MIN(item_packs.pieces) FROM item_packs WHERE item_packs.item_id = items.id AND item_packs.pieces > 1) AS pack, '.
                'COALESCE(SUM(CASE WHEN lots.good_until IS NULL OR lots.good_until >= ? THEN holdings.quantity END), 0) AS there', [$today])
            ->get();
        $levels = array_values($rows->map(static fn (stdClass $row): StoreLevel => new StoreLevel(
            $row->code, $row->name, (int) $row->least, (int) $row->target, (int) $row->there, $row->pack === null ? null : (int) $row->pack,
        ))->all());
        usort($levels, static fn (StoreLevel $one, StoreLevel $other): int => ($one->there >= $one->least) <=> ($other->there >= $other->least));

        return $levels;
    }
}
