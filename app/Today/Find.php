<?php

declare(strict_types=1);

namespace App\Today;

use App\Today\Http\FindResource;
use App\Today\Http\FoundResource;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;

/** The finder: kits, items, places and lots by code, name or number; a kit's own label goes straight to it. */
final class Find
{
    private const EACH = 6;

    public function __invoke(string $query): FindResource
    {
        $query = trim($query);
        $text = preg_replace('/^sarcina:kit\//i', '', $query) ?? $query;
        if ($text === '') {
            return new FindResource($query, []);
        }
        $like = '%'.addcslashes($text, '%_\\').'%';
        $start = addcslashes($text, '%_\\').'%';

        return new FindResource($query, [
            ...$this->kits($like, $start),
            ...$this->items($like, $start),
            ...$this->places($like),
            ...$this->lots($start),
        ]);
    }

    /** @return list<FoundResource> */
    private function kits(string $like, string $start): array
    {
        $kits = DB::table('kits')
            ->join('places', 'places.id', '=', 'kits.place_id')
            ->where(fn ($query) => $query->where('kits.code', 'like', $like)->orWhere('kits.name', 'like', $like))
            ->orderByRaw('kits.code LIKE ? DESC', [$start])
            ->orderBy('kits.code')
            ->limit(self::EACH)
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

    /** @return list<FoundResource> */
    private function items(string $like, string $start): array
    {
        $items = DB::table('items')->where(fn ($query) => $query->where('name', 'like', $like)->orWhere('code', 'like', $like))
            ->orderByRaw('name LIKE ? DESC', [$start])->orderBy('name')->limit(self::EACH)->get(['code', 'name', 'purpose']);

        return array_values(
            $items
                ->map(static fn (object $item): FoundResource => new FoundResource('item', $item->name, $item->purpose, "/items/{$item->code}"))
                ->all(),
        );
    }

    /** @return list<FoundResource> */
    private function places(string $like): array
    {
        $places = DB::table('places')->where('path', 'like', $like)->orderBy('walk_order')->limit(self::EACH)->get(['id', 'name', 'path']);

        return array_values(
            $places
                ->map(
                    static fn (object $place): FoundResource => new FoundResource('place', $place->name, $place->path, "/kits#place-{$place->id}"),
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
