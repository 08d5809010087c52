<?php

declare(strict_types=1);

namespace App\Reading;

use App\Http\Resources\CarriedResource;
use App\Http\Resources\ItemResource;
use App\Http\Resources\ItemRow;
use App\Http\Resources\MeasureResource;
use App\Http\Resources\NeedResource;
use App\Models\Holding;
use App\Models\Item;
use App\Models\ItemMeasure;
use App\Models\ItemNeed;
use Illuminate\Support\Facades\DB;

/** The catalogue, and one item: what it is, what it needs beside it, where it is and where it is missing. */
final class ReadItems
{
    /** @return list<ItemRow> */
    public function all(): array
    {
        $held = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->where('holdings.condition', 'good')
            ->groupBy('lots.item_id')->selectRaw('lots.item_id, SUM(IF(kit_id IS NULL, 0, quantity)) AS in_kits, SUM(IF(store_id IS NULL, 0, quantity)) AS in_store')->get()->keyBy('item_id');

        return array_values(Item::query()->orderBy('name')->get()->map(fn (Item $item): ItemRow => new ItemRow(
            $item->code, $item->name, $item->class, $item->purpose, $item->caution, $item->dated, (int) ($held->get($item->id)->in_kits ?? 0), (int) ($held->get($item->id)->in_store ?? 0),
        ))->all());
    }

    public function one(Item $item): ItemResource
    {
        $item->load(['measures', 'packs', 'needs.companions', 'supersededBy']);

        return new ItemResource(
            $item->code, $item->name, $item->class, $item->purpose, $item->caution, $item->count_unit, $item->dated, $item->sterile, $item->mass_g, $item->scope,
            $item->keeps_as_reserve, $item->supersededBy?->name,
            array_values($item->measures->map(fn (ItemMeasure $measure): MeasureResource => new MeasureResource($measure->measure, $measure->quantity))->all()),
            array_values($item->packs->map(fn ($pack): int => $pack->pieces)->all()),
            array_values($item->needs->map(fn (ItemNeed $need): NeedResource => new NeedResource(
                array_values($need->companions->map(fn (Item $companion): string => $companion->name)->all()), $need->per, $need->quantity, $need->reason,
            ))->all()),
            $this->carried($item),
            $this->missingIn($item),
        );
    }

    /** @return list<CarriedResource> */
    private function carried(Item $item): array
    {
        $held = Holding::query()->whereHas('lot', fn ($lot) => $lot->where('item_id', $item->id))->with(['lot', 'kit.place', 'store.place'])->get()
            ->sortBy(fn (Holding $holding): string => ($holding->store_id === null ? '1' : '0').($holding->kit->code ?? '').($holding->lot->good_until ?? '9'));

        return array_values($held->map(fn (Holding $holding): CarriedResource => new CarriedResource(
            $holding->kit === null ? (string) $holding->store?->name : "{$holding->kit->code} {$holding->kit->name}",
            $holding->kit?->code, $holding->kit === null ? (string) $holding->store?->place->path : $holding->kit->place->path,
            $holding->lot->number, $holding->lot->expires, $holding->lot->good_until, $holding->condition, $holding->quantity,
        ))->all());
    }

    /** @return list<string> kits whose list names the item and that hold none of it */
    private function missingIn(Item $item): array
    {
        return array_values(DB::table('kits')
            ->join('designs', 'designs.id', '=', 'kits.design_id')
            ->whereExists(fn ($query) => $query->from('lines')->join('line_entries', 'line_entries.line_id', '=', 'lines.id')
                ->where('line_entries.item_id', $item->id)->where('line_entries.position', 0)
                ->where(fn ($owner) => $owner->whereColumn('lines.list_id', 'designs.list_id')->orWhereColumn('lines.design_id', 'designs.id')))
            ->whereNotExists(fn ($query) => $query->from('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
                ->whereColumn('holdings.kit_id', 'kits.id')->where('lots.item_id', $item->id)->where('holdings.condition', 'good'))
            ->orderBy('kits.code')->pluck('kits.code')->all());
    }
}
