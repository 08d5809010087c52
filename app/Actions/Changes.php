<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stale;
use App\Models\Kit;
use Illuminate\Support\Facades\DB;

/** What others did to a kit since somebody began to work on it. */
final class Changes
{
    /**
     * @param  list<string>  $but  reasons that do not matter
     *
     * @throws Stale with what changed
     */
    public function refuseSince(Kit $kit, int $base, string $message, array $but = []): void
    {
        if ($kit->last_movement <= $base) {
            return;
        }
        $changes = DB::table('movements')
            ->join('lots', 'lots.id', '=', 'movements.lot_id')
            ->join('items', 'items.id', '=', 'lots.item_id')
            ->join('users', 'users.id', '=', 'movements.user_id')
            ->where('movements.number', '>', $base)
            ->whereNotIn('movements.reason', $but)
            ->where(fn ($query) => $query->where('from_kit_id', $kit->id)->orWhere('to_kit_id', $kit->id))
            ->orderBy('movements.number')
            ->get(['movements.*', 'items.name as item', 'lots.number as lot', 'users.name as by'])
            ->map(static fn (object $row): string => "{$row->quantity} × {$row->item}".($row->lot === null ? '' : ", lot {$row->lot},")
                .($row->to_kit_id === $kit->id ? ' put in' : ' taken out')." ({$row->reason}) by {$row->by}")
            ->values()->all();
        if ($changes !== []) {
            throw new Stale($message, $changes, $kit->last_movement);
        }
    }
}
