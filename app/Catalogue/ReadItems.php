<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Accounts\Models\Organisation;
use App\Catalogue\Http\CarriedResource;
use App\Catalogue\Http\ClassResource;
use App\Catalogue\Http\HandlingResource;
use App\Catalogue\Http\ItemName;
use App\Catalogue\Http\ItemResource;
use App\Catalogue\Http\NeedResource;
use App\Catalogue\Http\OtherName;
use App\Catalogue\Http\PackResource;
use App\Catalogue\Http\ToldFrom;
use App\Catalogue\Models\Item;
use App\Catalogue\Models\ItemClass;
use App\Catalogue\Models\ItemMeasure;
use App\Catalogue\Models\ItemNeed;
use App\Catalogue\Models\ItemPack;
use App\Ledger\PieceCondition;
use App\Lists\Models\KitList;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\OpenedLife;
use stdClass;

/** The catalogue, and one item: what it is, what it needs beside it, where it is and where it is missing. */
final class ReadItems
{
    /** Of the places in which an item lies, and of the kits that lack it. */
    private const SHOWN = 200;

    public function __construct(
        private readonly Measures $measures,
        private readonly Organisation $organisation,
    ) {
    }

    public function one(Item $item): ItemResource
    {
        $item->load(['measures', 'packs', 'needs.companions', 'supersededBy', 'standIns']);
        $carried = $this->carried($item);
        [$missing, $missingIn] = $this->missingIn($item);
        [$title, $neverFor, $handling] = $this->titleAndMore($item);
        $for = Item::query()->whereIn('id', DB::table('item_stand_ins')->where('stand_in_id', $item->id)->select('item_id'))->orderBy('name')->get();

        return new ItemResource(
            $item->id,
            $item->code,
            $item->name,
            $item->class,
            $title,
            $item->purpose,
            $item->caution,
            $item->count_unit,
            $item->dated,
            $item->sterile,
            $item->mass_g,
            $this->measures->mass($item->mass_g),
            $item->scope->value,
            $item->keeps_as_reserve,
            $item->only_for_trained,
            $neverFor,
            $item->opened_life === null ? null : OpenedLife::days($item->opened_life, $item->opened_life_unit ?? 'days'),
            $item->supersededBy?->name,
            $item->supersededBy?->code,
            $item->storage_min_c,
            $item->storage_max_c,
            $item->opened_life,
            $item->opened_life_unit,
            $item->allergy,
            $handling,
            $item->revision,
            $this->organisation->currency,
            array_values(
                $item->measures->map(fn (ItemMeasure $measure) => $this->measures->resource($measure->measure, $measure->quantity))->all(),
            ),
            array_values($item->packs->map(fn (ItemPack $pack): PackResource => new PackResource($pack->pieces, $pack->price))->all()),
            array_values(
                $item->needs
                    ->map(
                        fn (ItemNeed $need): NeedResource => new NeedResource(
                            array_values($need->companions->map(fn (Item $companion): string => $companion->name)->all()),
                            array_values($need->companions->map(fn (Item $companion): string => $companion->code)->all()),
                            $need->per,
                            $need->quantity,
                            $need->reason,
                        ),
                    )
                    ->all(),
            ),
            self::names($item->standIns->all()),
            self::names($for->all()),
            $this->acceptedBy($item->id),
            $this->excludedBy($item->class),
            $carried->rows,
            $carried->places,
            $carried->inKits,
            $carried->inStores,
            $missing,
            $missingIn,
        );
    }

    /** @return list<ClassResource> the tree, in its order */
    public function classes(): array
    {
        $items = DB::table('items')
            ->groupBy('class')
            ->selectRaw('class, COUNT(*) AS items')
            ->pluck('items', 'class')
            ->map(fn (mixed $count): int => is_numeric($count) ? (int) $count : 0)
            ->all();
        $excluded = DB::table('list_exclusions')
            ->join('lists', 'lists.id', '=', 'list_exclusions.list_id')
            ->get(['list_exclusions.class', 'lists.title', 'lists.size'])
            ->groupBy('class');
        $accepted = DB::table('line_entries')
            ->join('lines', 'lines.id', '=', 'line_entries.line_id')
            ->join('lists', 'lists.id', '=', 'lines.list_id')
            ->whereNotNull('line_entries.class')
            ->distinct()
            ->get(['line_entries.class', 'lists.title', 'lists.size'])
            ->groupBy('class');
        $titles = static fn (mixed $rows): array => $rows === null
            ? []
            : array_values(array_unique($rows->map(fn (object $row): string => self::title($row))->all()));

        return array_values(
            ItemClass::query()
                ->orderBy('class')
                ->get()
                ->map(function (ItemClass $class) use ($items, $excluded, $accepted, $titles): ClassResource {
                    $below = array_sum(
                        array_filter($items, static fn (string $name): bool => str_starts_with($name, $class->class.'.'), ARRAY_FILTER_USE_KEY),
                    );

                    return new ClassResource(
                        $class->class,
                        $class->title,
                        $items[$class->class] ?? 0,
                        $below,
                        $titles($excluded->get($class->class)),
                        $titles($accepted->get($class->class)),
                        KeptPastDate::needsSaying($class->class),
                    );
                })
                ->all(),
        );
    }

    /**
     * @param  array<Item>  $items
     * @return list<ItemName>
     */
    private static function names(array $items): array
    {
        return array_values(array_map(static fn (Item $item): ItemName => new ItemName($item->code, $item->name), $items));
    }

    private static function title(object $list): string
    {
        /** @var object{title: string, size: string|null} $list */
        return KitList::named($list->title, $list->size);
    }

    /** @return list<string> lists with a line that names the item */
    private function acceptedBy(string $itemId): array
    {
        return array_values(
            DB::table('line_entries')
                ->join('lines', 'lines.id', '=', 'line_entries.line_id')
                ->join('lists', 'lists.id', '=', 'lines.list_id')
                ->where('line_entries.item_id', $itemId)
                ->distinct()
                ->orderBy('lists.title')
                ->get(['lists.title', 'lists.size'])
                ->map(fn (object $list): string => self::title($list))
                ->all(),
        );
    }

    /** @return list<string> lists that keep the class out */
    private function excludedBy(string $class): array
    {
        return array_values(
            array_unique(
                DB::table('list_exclusions')
                    ->join('lists', 'lists.id', '=', 'list_exclusions.list_id')
                    ->whereRaw("? LIKE CONCAT(list_exclusions.class, '.%') OR ? = list_exclusions.class", [$class, $class])
                    ->orderBy('lists.title')
                    ->get(['lists.title', 'lists.size'])
                    ->map(fn (object $list): string => self::title($list))
                    ->all(),
            ),
        );
    }

    /** In stores first, then in kits by code; with how much there is in all. */
    private function carried(Item $item): CarriedItem
    {
        $rows = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
            ->leftJoin('kits', 'kits.id', '=', 'holdings.kit_id')->leftJoin('stores', 'stores.id', '=', 'holdings.store_id')
            ->join('places', fn ($join) => $join->whereRaw('places.id = COALESCE(kits.place_id, stores.place_id)'))
            ->where('lots.item_id', $item->id)
            ->orderByRaw('holdings.store_id IS NULL')->orderBy('kits.code')->orderByRaw("COALESCE(lots.good_until, '9999-12-31')")
            ->orderBy('holdings.id')->limit(self::SHOWN)
            ->get([
                'kits.code', 'kits.name as kit', 'stores.name as store', 'places.path', 'lots.number', 'lots.expires', 'lots.good_until',
                'holdings.condition', 'holdings.quantity', DB::raw('COUNT(*) OVER () AS places'),
                DB::raw('SUM(IF(holdings.store_id IS NULL, holdings.quantity, 0)) OVER () AS in_kits'),
                DB::raw('SUM(IF(holdings.store_id IS NULL, 0, holdings.quantity)) OVER () AS in_stores'),
            ]);
        $first = $rows->first();

        return new CarriedItem(
            array_values($rows->map(static fn (stdClass $row): CarriedResource => new CarriedResource(
                $row->code === null ? (string) $row->store : "{$row->code} {$row->kit}", $row->code, $row->path,
                $row->number, $row->expires, $row->good_until,
                PieceCondition::word($row->condition), PieceCondition::openedOn($row->condition), (int) $row->quantity,
            ))->all()),
            (int) ($first->places ?? 0), (int) ($first->in_kits ?? 0), (int) ($first->in_stores ?? 0),
        );
    }

    /** @return array{string, list<string>, HandlingResource} the title of its class, in whose place it is never used, how it is handled */
    private function titleAndMore(Item $item): array
    {
        $found = DB::table('item_classes')->where('class', $item->class)->selectRaw("'title' AS what, title AS text, NULL AS more, NULL AS called")
            ->unionAll(DB::table('item_never_for')->where('item_id', $item->id)->selectRaw("'never_for', class, NULL, NULL"))
            ->unionAll(DB::table('item_told_from')->join('items', 'items.id', '=', 'item_told_from.other_id')->where('item_id', $item->id)
                ->selectRaw("'told_from', items.code, item_told_from.`by`, items.name"))
            ->unionAll(DB::table('item_names')->where('item_id', $item->id)->selectRaw("'name', name, region, NULL"))
            ->get()->sortBy('text')->groupBy('what');
        $title = $found->get('title')?->first();
        $alike = array_values(array_map(
            static fn (stdClass $row): ToldFrom => new ToldFrom($row->text, $row->called, $row->more), $found->get('told_from')?->all() ?? [],
        ));
        $names = array_values(array_map(
            static fn (stdClass $row): OtherName => new OtherName($row->text, $row->more), $found->get('name')?->all() ?? [],
        ));

        return [
            (string) ($title->text ?? $item->class), array_values(array_map(strval(...), $found->get('never_for')?->pluck('text')->all() ?? [])),
            new HandlingResource(
                $item->layer, $item->start_minutes, $item->staging, $item->unwraps, $item->keep_dry, $item->has_latex, $item->bulk_ml,
                $item->comes_back, $item->trains_again, $alike, $names,
            ),
        ];
    }

    /** @return array{list<string>, int} codes of kits whose list names the item and that hold none of it, and how many there are */
    private function missingIn(Item $item): array
    {
        $kits = DB::table('kits')
            ->join('design_editions', 'design_editions.id', '=', 'kits.design_edition_id')->whereNull('kits.retired_on')
            ->whereExists(fn ($query) => $query->from('lines')->join('line_entries', 'line_entries.line_id', '=', 'lines.id')
                ->where('line_entries.item_id', $item->id)->where('line_entries.position', 0)
                ->where(fn ($owner) => $owner->whereColumn('lines.list_id', 'design_editions.list_id')
                    ->orWhereColumn('lines.design_edition_id', 'design_editions.id')))
            ->whereNotExists(fn ($query) => $query->from('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
                ->whereColumn('holdings.kit_id', 'kits.id')->where('lots.item_id', $item->id)->where('holdings.condition', 'good'));
        $codes = (clone $kits)->orderBy('kits.code')->limit(self::SHOWN)->pluck('kits.code')->all();

        return [array_values(array_map(strval(...), $codes)), count($codes) < self::SHOWN ? count($codes) : $kits->count()];
    }
}
