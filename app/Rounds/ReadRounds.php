<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Ledger\KitHistory;
use App\Rounds\Http\RoundKit;
use App\Rounds\Http\RoundRef;
use App\Rounds\Http\RoundResource;
use App\Rounds\Models\Round;
use App\Stock\Http\PickedLot;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Rounds that are not ended, and one of them: what goes into the box, and the kits in walking order. */
final class ReadRounds
{
    /** @return list<RoundRef> */
    public function open(): array
    {
        return array_values(DB::table('restock_rounds')->join('stores', 'stores.id', '=', 'restock_rounds.store_id')
            ->join('users', 'users.id', '=', 'restock_rounds.made_by_id')
            ->join('restock_round_kits', 'restock_round_kits.round_id', '=', 'restock_rounds.id')->whereNull('ended_at')
            ->groupBy('restock_rounds.id', 'stores.name', 'users.name', 'made_at')->orderBy('made_at')
            ->selectRaw('restock_rounds.id, stores.name AS store, users.name AS made_by, made_at, COUNT(*) AS kits, COUNT(done_at) AS done')->get()
            ->map(static fn (stdClass $row): RoundRef => new RoundRef(
                $row->id, $row->store, $row->made_by, KitHistory::said($row->made_at), (int) $row->kits, (int) $row->done,
            ))->all());
    }

    public function one(Round $round): RoundResource
    {
        $kits = DB::table('restock_round_kits')->join('kits', 'kits.id', '=', 'restock_round_kits.kit_id')
            ->join('places', 'places.id', '=', 'kits.place_id')->leftJoin('users', 'users.id', '=', 'done_by_id')
            ->leftJoin('kit_states', 'kit_states.kit_id', '=', 'kits.id')
            ->where('round_id', $round->id)->orderBy('position')
            ->get(['kits.id', 'kits.code', 'kits.name', 'places.path', 'done_at', 'skipped_because', 'users.name as done_by']);
        $picks = DB::table('restock_round_picks')->join('lots', 'lots.id', '=', 'restock_round_picks.lot_id')
            ->join('items', 'items.id', '=', 'lots.item_id')->where('round_id', $round->id)->orderBy('items.name')->orderBy('lots.good_until')
            ->get(['kit_id', 'lots.id', 'lots.number', 'lots.good_until', 'items.name', 'items.caution', 'quantity']);
        $wants = DB::table('kit_wants')->whereIn('kit_id', $kits->whereNull('done_at')->pluck('id')->all())
            ->get(['kit_id', 'pieces'])->groupBy('kit_id');
        $byKit = $picks->groupBy('kit_id');

        return new RoundResource(
            $round->id, $round->store_id, $round->store->name, $round->madeBy->name, KitHistory::said($round->made_at), $round->ended_at !== null,
            array_values($picks->groupBy('id')->map(static fn ($same): PickedLot => new PickedLot(
                (string) $same->first()?->name, $same->first()?->caution, $same->first()?->number, $same->first()?->good_until,
                (int) $same->sum('quantity'),
            ))->all()),
            array_values($kits->map(static fn (stdClass $kit): RoundKit => new RoundKit(
                $kit->code, $kit->name, $kit->path, (int) ($byKit->get($kit->id)?->sum('quantity') ?? 0),
                (int) ($wants->get($kit->id)?->sum('pieces') ?? 0), $kit->done_at === null ? null : KitHistory::said($kit->done_at), $kit->done_by,
                $kit->skipped_because,
            ))->all()),
        );
    }
}
