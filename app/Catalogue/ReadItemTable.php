<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Catalogue\Http\ItemChoice;
use App\Catalogue\Http\ItemRow;
use App\Catalogue\Http\ItemsResource;
use App\Support\Listing\ListRequest;
use App\Support\Listing\PageOf;
use App\Support\SearchWords;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The catalogue a page at a time, with how many there are of each item; and all of it by name, to choose from. */
final class ReadItemTable
{
    public function __invoke(ListRequest $asked): ItemsResource
    {
        [$rows, $page] = PageOf::read($this->asked($asked), $asked->page(), ['items.*']);

        return new ItemsResource($this->rows($rows), $page);
    }

    /** @return iterable<list<string|int|null>> all that are asked for, for a sheet */
    public function sheet(ListRequest $asked): iterable
    {
        foreach (array_chunk($this->asked($asked)->get(['items.*'])->all(), PageOf::ROWS) as $some) {
            foreach ($this->rows($some) as $item) {
                yield [
                    $item->code, $item->name, $item->class, $item->purpose, $item->caution, $item->scope,
                    $item->in_kits, $item->in_store, $item->price,
                ];
            }
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['code', 'name', 'class', 'purpose', 'caution', 'scope', 'in_kits', 'in_store', 'price_of_one'];
    }

    /** @return list<ItemChoice> the whole catalogue, to choose from */
    public function choices(): array
    {
        return array_values(DB::table('items')->orderBy('name')->get(['code', 'name', 'class', 'dated', 'purpose', 'caution'])
            ->map(static fn (stdClass $item): ItemChoice => new ItemChoice(
                $item->code, $item->name, $item->class, (bool) $item->dated, $item->purpose, $item->caution,
            ))->all());
    }

    private function asked(ListRequest $asked): Builder
    {
        $items = DB::table('items');
        if ($asked->text() !== '') {
            $words = SearchWords::of($asked->text());
            $items->whereIn('id', $words->among(DB::table('items'), 'name')->select('id')
                ->union(DB::table('items')->where('code', 'like', $words->beginning())->select('id'))
                ->union(DB::table('items')->where('class', 'like', $words->beginning())->select('id')));
        }
        $class = $asked->filter('class');
        if ($class !== null) {
            // A class has those below it.
            $items->where(fn (Builder $query) => $query->where('class', $class)->orWhere('class', 'like', addcslashes($class, '%_\\').'.%'));
        }
        if ($asked->filter('scope') !== null) {
            $items->where('scope', $asked->filter('scope'));
        }

        return $items->orderBy($asked->sort(), $asked->direction())->orderBy('name')->orderBy('id');
    }

    /**
     * @param  array<stdClass>  $items
     * @return list<ItemRow>
     */
    private function rows(array $items): array
    {
        $ids = array_column($items, 'id');
        $held = DB::table('holdings')
            ->join('lots', 'lots.id', '=', 'holdings.lot_id')
            ->where('holdings.condition', 'good')
            ->whereIn('lots.item_id', $ids)
            ->groupBy('lots.item_id')
            ->selectRaw('lots.item_id, SUM(IF(kit_id IS NULL, 0, quantity)) AS in_kits, SUM(IF(store_id IS NULL, 0, quantity)) AS in_store')
            ->get()
            ->keyBy('item_id');
        $singles = DB::table('item_packs')->whereIn('item_id', $ids)->where('pieces', 1)->pluck('price', 'item_id');

        return array_values(array_map(static fn (stdClass $item): ItemRow => new ItemRow(
            $item->code,
            $item->name,
            $item->class,
            $item->purpose,
            $item->caution,
            (bool) $item->dated,
            $item->scope,
            (int) ($held->get($item->id)->in_kits ?? 0),
            (int) ($held->get($item->id)->in_store ?? 0),
            $singles->get($item->id) === null ? null : (int) $singles->get($item->id),
        ), $items));
    }
}
