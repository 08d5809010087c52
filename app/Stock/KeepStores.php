<?php

declare(strict_types=1);

namespace App\Stock;

use App\Catalogue\Models\Item;
use App\Kits\Models\Place;
use App\Stock\Models\Holding;
use App\Stock\Models\Store;
use App\Support\DoneAtTheSameMoment;
use App\Support\Transaction;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Adds a store, renames it, moves it to another place, and ends its use. */
final class KeepStores
{
    /** @param  string  $id  made by whoever adds it: sent twice, one store is made */
    public function keep(string $id, string $name, string $placeId): Store
    {
        return Transaction::run(function () use ($id, $name, $placeId): Store {
            $place = Place::query()->where('id', $placeId)->lockForUpdate()->firstOrFail();
            if ($place->retired_on !== null) {
                throw ValidationException::withMessages(['place_id' => "{$place->name} is no longer used. Choose another place."]);
            }
            $store = Store::query()->where('id', $id)->lockForUpdate()->first() ?? new Store(['id' => $id]);
            $store->fill(['name' => $name, 'place_id' => $placeId]);
            try {
                $store->save();
            } catch (UniqueConstraintViolationException $taken) {
                throw str_contains($taken->getMessage(), 'stores_name_unique')
                    ? ValidationException::withMessages(['name' => 'Another store has this name. Name it so that the two can be told apart.'])
                    : new DoneAtTheSameMoment;
            }

            return $store;
        });
    }

    /** How many pieces of an item it is to have at least, and up to how many it is filled; without a least, it has no level. */
    public function level(Store $store, Item $item, ?int $least, ?int $target): void
    {
        $key = ['store_id' => $store->id, 'item_id' => $item->id];
        $least === null
            ? DB::table('store_levels')->where($key)->delete()
            : DB::table('store_levels')->upsert(
                [[...$key, 'least' => $least, 'target' => $target ?? $least]], ['store_id', 'item_id'], ['least', 'target'],
            );
    }

    /** Only an empty one: what lies in it would be out of sight. */
    public function retire(Store $store, string $day): void
    {
        Transaction::run(function () use ($store, $day): void {
            $store = Store::query()->where('id', $store->id)->lockForUpdate()->firstOrFail();
            $pieces = (int) Holding::query()->where('store_id', $store->id)->sum('quantity');
            if ($pieces > 0) {
                throw ValidationException::withMessages([
                    'store' => "There are still {$pieces} pieces in {$store->name}. Move them to another store or dispose of them first.",
                ]);
            }
            if ($store->retired_on === null) {
                $store->update(['retired_on' => $day]);
                DB::table('store_levels')->where('store_id', $store->id)->delete();
            }
        });
    }
}
