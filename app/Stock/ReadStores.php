<?php

declare(strict_types=1);

namespace App\Stock;

use App\Kits\Http\BaseResource;
use App\Ledger\Head;
use App\Ledger\PieceCondition;
use App\Stock\Http\StoreContentsResource;
use App\Stock\Http\StoreResource;
use App\Stock\Http\StoreRow;
use App\Stock\Models\Store;
use App\Support\Listing\ListRequest;
use App\Support\Listing\PageOf;
use App\Support\SearchWords;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The stores, and what lies in one: each lot in each condition. */
final class ReadStores
{
    /** Whatever condition pieces are set apart in. */
    public const APART = 'apart';

    private const COLUMNS = ['items.code', 'items.name', 'lots.number', 'lots.expires', 'lots.good_until', 'holdings.condition', 'holdings.quantity'];

    /** @return list<StoreResource> */
    public function all(): array
    {
        $held = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->whereNotNull('store_id')->groupBy('store_id')
            ->selectRaw('store_id, COUNT(DISTINCT lots.item_id) AS items, SUM(quantity) AS pieces')->get()->keyBy('store_id');

        $stores = Store::query()->where('retired_on', null)->with('place')->orderBy('name')->get();

        return array_values($stores->map(static fn (Store $store): StoreResource => new StoreResource(
            $store->id, $store->name, $store->place_id, $store->place->path, $store->retired_on,
            (int) ($held->get($store->id)->items ?? 0), (int) ($held->get($store->id)->pieces ?? 0),
        ))->all());
    }

    public function contents(Store $store, ListRequest $asked): StoreContentsResource
    {
        // Read before the contents: what is recorded in between counts as not seen.
        $base = BaseResource::of(Head::read()->base());
        [$rows, $page] = PageOf::read($this->asked($store, $asked), $asked->page(), self::COLUMNS);

        return new StoreContentsResource($this->one($store), $base, array_map(self::row(...), $rows), $page);
    }

    public function one(Store $store): StoreResource
    {
        $held = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->where('store_id', $store->id)
            ->selectRaw('COUNT(DISTINCT lots.item_id) AS items, COALESCE(SUM(quantity), 0) AS pieces')->first();

        return new StoreResource(
            $store->id, $store->name, $store->place_id, $store->place->path, $store->retired_on,
            (int) ($held->items ?? 0), (int) ($held->pieces ?? 0),
        );
    }

    /** @return iterable<list<string|int|null>> all that are asked for, for a sheet */
    public function sheet(Store $store, ListRequest $asked): iterable
    {
        foreach ($this->asked($store, $asked)->get(self::COLUMNS) as $row) {
            yield [$row->code, $row->name, $row->number, $row->expires, $row->good_until, $row->condition, (int) $row->quantity];
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['item', 'name', 'lot', 'printed_date', 'last_good_day', 'condition', 'pieces'];
    }

    private function asked(Store $store, ListRequest $asked): Builder
    {
        $rows = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('holdings.store_id', $store->id);
        if ($asked->text() !== '') {
            $words = SearchWords::of($asked->text());
            $rows->where(static fn (Builder $any) => $any->whereIn('items.id', $words->among(DB::table('items'), 'name')->select('id'))
                ->orWhere('lots.number', 'like', $words->beginning())->orWhere('items.code', 'like', $words->beginning()));
        }
        if ($asked->filter('condition') === self::APART) {
            $rows->whereIn('holdings.condition', PieceCondition::APART);
        } elseif ($asked->filter('condition') !== null) {
            $rows->where('holdings.condition', 'like', $asked->filter('condition').'%');
        }
        if ($asked->filter('until') !== null) {
            $rows->where('lots.good_until', '<=', $asked->filter('until'));
        }
        match ($asked->sort()) {
            'lot' => $rows->orderBy('lots.number', $asked->direction()),
            // What has no date comes last.
            'expires' => $rows->orderByRaw('lots.good_until IS NULL')->orderBy('lots.good_until', $asked->direction()),
            'quantity' => $rows->orderBy('holdings.quantity', $asked->direction()),
            default => $rows->orderBy('items.name', $asked->direction()),
        };

        return $rows->orderBy('items.name')->orderByRaw('lots.good_until IS NULL')->orderBy('lots.good_until')->orderBy('holdings.id');
    }

    private static function row(stdClass $row): StoreRow
    {
        return new StoreRow(
            $row->code, $row->name, $row->number, $row->expires, $row->good_until, PieceCondition::word($row->condition),
            PieceCondition::openedOn($row->condition), (int) $row->quantity,
        );
    }
}
