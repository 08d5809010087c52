<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalogue\ItemWords;
use App\Support\SearchWords;
use App\Today\Http\FindResource;
use App\Today\Http\FoundResource;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Kit\ItemClass;

/** The finder: kits, items, places and lots by code, name or number; a kit's own label goes straight to it. */
final class Find
{
    private const EACH = 6;

    /** Of which those that come first are shown. */
    private const MANY = 200;

    public function __invoke(string $query): FindResource
    {
        $query = trim($query);
        $text = preg_replace('/^sarcina:kit\//i', '', $query) ?? $query;
        if ($text === '') {
            return new FindResource($query, []);
        }
        $words = SearchWords::of($text);

        $kits = $this->kits($words);
        $places = $this->places($words);
        // A misspelling counts only where nothing is spelled so.
        $misspelt = $kits === [] || $places === [] ? $words->misspelt() : null;

        return new FindResource($query, [
            ...($kits === [] && $misspelt !== null ? $this->kits($misspelt) : $kits),
            ...$this->items($text),
            ...($places === [] && $misspelt !== null ? $this->places($misspelt) : $places),
            ...$this->lots($words->beginning()),
        ]);
    }

    /** @return list<FoundResource> */
    private function kits(SearchWords $words): array
    {
        // Each by its own index: together they would be looked for in every kit there is.
        $byCode = DB::table('kits')->where('code', 'like', $words->beginning())->orderBy('code')->limit(self::EACH)
            ->select(['id', DB::raw('0 AS later')]);
        $byName = $words->among(DB::table('kits'), 'name')->limit(self::EACH)->select(['id', DB::raw('1 AS later')]);
        // An old label leads to the kit that had its code.
        $byFormer = DB::table('former_codes')->where('code', 'like', $words->beginning())->orderBy('code')->limit(self::EACH)
            ->select(['kit_id as id', DB::raw('0 AS later')]);
        $kits = DB::table('kits')->join('places', 'places.id', '=', 'kits.place_id')
            ->joinSub($byCode->unionAll($byFormer)->unionAll($byName), 'found', 'found.id', '=', 'kits.id')
            ->groupBy('kits.id', 'kits.code', 'kits.name', 'places.path', 'kits.retired_on')
            ->orderByRaw('MIN(found.later)')->orderBy('kits.code')->limit(self::EACH)
            ->get(['kits.code', 'kits.name', 'places.path', 'kits.retired_on']);

        return array_values(
            $kits
                ->map(
                    static fn (object $kit): FoundResource => new FoundResource(
                        'kit',
                        "{$kit->code} {$kit->name}",
                        $kit->retired_on === null ? $kit->path : 'Out of service',
                        "/kits/{$kit->code}",
                    ),
                )
                ->all(),
        );
    }

    /** @return list<FoundResource> the best first, training pieces last */
    private function items(string $text): array
    {
        $terms = ItemWords::find($text);
        $ids = DB::table('items')->where('code', 'like', SearchWords::of($text)->beginning())->orderBy('code')->limit(self::EACH)->pluck('id')->all();
        $ids = array_values(array_unique([...array_map(strval(...), array_keys($terms)), ...array_map(strval(...), $ids)]));
        $order = array_flip(array_slice($ids, 0, self::MANY));
        $items = DB::table('items')->whereIn('id', array_keys($order))->get(['id', 'code', 'name', 'class', 'purpose'])
            ->sortBy(static fn (object $item): array => [str_starts_with($item->class, ItemClass::TRAINING), $order[$item->id]])->take(self::EACH);
        $others = DB::table('item_names')->whereIn('item_id', $items->pluck('id')->all())->orderBy('name')
            ->get(['item_id', 'name', 'region'])->groupBy('item_id');

        return array_values(
            $items
                ->map(static function (object $item) use ($others, $terms): FoundResource {
                    $other = ($terms[$item->id] ?? 0) === 0 ? null : ($others->get($item->id) ?? collect())->get($terms[$item->id] - 1);
                    $called = $other === null ? '' : "Called “{$other->name}”".($other->region === null ? '' : " in {$other->region}").'. ';

                    return new FoundResource('item', $item->name, "{$called}{$item->purpose}", "/items/{$item->code}");
                })
                ->all(),
        );
    }

    /** @return list<FoundResource> */
    private function places(SearchWords $words): array
    {
        $found = $words->among(DB::table('places'), 'path')->limit(self::MANY)->select('id');
        $places = DB::table('places')->joinSub($found, 'found', 'found.id', '=', 'places.id')
            ->orderBy('walk_order')->limit(self::EACH)->get(['places.id', 'name', 'path']);

        return array_values(
            $places
                ->map(
                    static fn (object $place): FoundResource => new FoundResource('place', $place->name, $place->path, "/kits?place={$place->id}"),
                )
                ->all(),
        );
    }

    /** @return list<FoundResource> */
    private function lots(string $start): array
    {
        $lots = DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->where('lots.number', 'like', $start)
            ->orderBy('lots.number')->limit(self::EACH)->get(['lots.number', 'lots.expires', 'items.name', 'items.code']);

        return array_values(
            $lots
                ->map(
                    static fn (object $lot): FoundResource => new FoundResource(
                        'lot',
                        "Lot {$lot->number}",
                        $lot->name.
                            ($lot->expires === null
                                ? ', no date'
                                : ', expires '.\App\Judging\Words::date((string) PrintedDate::of($lot->expires)->lastGoodDay)),
                        "/items/{$lot->code}?lot=".rawurlencode($lot->number),
                    ),
                )
                ->all(),
        );
    }
}
