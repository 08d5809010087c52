<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Http\PlaceResource;
use App\Kits\Http\PlacesResource;
use App\Support\Listing\ListRequest;
use App\Support\Listing\PageOf;
use App\Support\SearchWords;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The places in walking order, with how many kits are there. */
final class ReadPlaces
{
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
        [$rows, $page] = PageOf::read($places, $asked->page(), ['id', 'parent_id', 'kind', 'name', 'path', 'retired_on']);
        $kits = DB::table('kits')->whereIn('place_id', array_column($rows, 'id'))->whereNull('retired_on')->whereNull('parent_kit_id')
            ->groupBy('place_id')->selectRaw('place_id, COUNT(*) AS kits')->pluck('kits', 'place_id')->all();

        return new PlacesResource(array_map(static fn (stdClass $place): PlaceResource => new PlaceResource(
            $place->id, $place->parent_id, $place->kind, $place->name, $place->path, (int) ($kits[$place->id] ?? 0), $place->retired_on,
        ), $rows), $page);
    }
}
