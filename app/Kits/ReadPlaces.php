<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Http\KitAtPlace;
use App\Kits\Http\PlaceResource;
use App\Kits\Http\PlacesResource;
use App\Kits\Http\StoreAtPlace;
use App\Support\Listing\ListRequest;
use App\Support\Listing\PageOf;
use App\Support\SearchWords;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The places in walking order, with how many kits are there, which stores, and how many first aiders are posted; never who. */
final class ReadPlaces
{
    /** Of a place with more, the rest is counted. */
    private const HANGING = 8;

    public function __invoke(ListRequest $asked): PlacesResource
    {
        $places = DB::table('places')->orderBy('walk_order')->orderBy('id');
        if ($asked->text() !== '') {
            $places = SearchWords::of($asked->text())->among($places, 'path');
        }
        if ($asked->filter('id') !== null) {
            $places->where('id', strtolower($asked->filter('id')));
        } else {
            $places->whereNull('retired_on');
        }
        [$rows, $page] = PageOf::read($places, $asked->page(), ['id', 'parent_id', 'kind', 'name', 'path', 'retired_on', 'setting']);
        $ids = array_column($rows, 'id');
        $kits = DB::table('kits')->leftJoin('users', 'users.id', '=', 'kits.responsible_id')->whereIn('kits.place_id', $ids)
            ->whereNull('kits.retired_on')->whereNull('kits.parent_kit_id')->orderBy('kits.code')
            ->get(['kits.place_id', 'kits.code', 'kits.name', 'users.name as responsible'])->groupBy('place_id');
        $stores = DB::table('stores')->whereIn('place_id', $ids)->whereNull('retired_on')->orderBy('name')->get(['place_id', 'id', 'name'])
            ->groupBy('place_id');
        $posted = DB::table('postings')->whereIn('place_id', $ids)->groupBy('place_id')
            ->selectRaw('place_id, COUNT(DISTINCT first_aider_id) AS people')->pluck('people', 'place_id')->all();

        return new PlacesResource(array_map(static function (stdClass $place) use ($kits, $stores, $posted): PlaceResource {
            $own = $kits->get($place->id) ?? collect();

            return new PlaceResource(
                $place->id, $place->parent_id, $place->kind, $place->name, $place->path, $own->count(), $place->retired_on,
                array_values(($stores->get($place->id) ?? collect())->map(
                    static fn (stdClass $store): StoreAtPlace => new StoreAtPlace($store->id, $store->name),
                )->all()),
                (int) ($posted[$place->id] ?? 0),
                array_values($own->take(self::HANGING)->map(
                    static fn (stdClass $kit): KitAtPlace => new KitAtPlace($kit->code, $kit->name, $kit->responsible),
                )->all()),
                $place->setting,
            );
        }, $rows), $page);
    }
}
