<?php

declare(strict_types=1);

namespace App\Rounds;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Pieces of a store that lie in the boxes of rounds which are not ended, for kits which are not done. */
final class Boxed
{
    /** @return Builder `pieces` by `lot_id` */
    public static function at(string $storeId, ?string $butForKit): Builder
    {
        return DB::table('restock_round_picks')
            ->join('restock_rounds', 'restock_rounds.id', '=', 'restock_round_picks.round_id')
            ->join('restock_round_kits', static fn ($join) => $join->on('restock_round_kits.round_id', '=', 'restock_round_picks.round_id')
                ->on('restock_round_kits.kit_id', '=', 'restock_round_picks.kit_id'))
            ->where('restock_rounds.store_id', $storeId)->whereNull('restock_rounds.ended_at')->whereNull('restock_round_kits.done_at')
            ->when($butForKit !== null, static fn (Builder $picks): Builder => $picks->where('restock_round_picks.kit_id', '<>', $butForKit))
            ->groupBy('restock_round_picks.lot_id')->selectRaw('restock_round_picks.lot_id, SUM(restock_round_picks.quantity) AS pieces');
    }
}
