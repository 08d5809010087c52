<?php

declare(strict_types=1);

namespace App\Catalogue;

use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\OpenedLife;
use Sarcina\Core\Kit\CompanionNeed;
use Sarcina\Core\Kit\CompanionsPer;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Measure\Quantity;

/** Items as the core judges them and as the page names them, read in a few queries and remembered for the request. */
final class Catalogue
{
    /** Names the items that look alike, each in a sentence of its own: the mark that tells them apart, or that none is recorded. */
    private const TOLD_FROM = "(SELECT GROUP_CONCAT(IF(alike.`by` IS NULL,
            CONCAT('Easily confused with “', others.name, '”, and no mark is recorded. Keep them in separate pockets.'),
            CONCAT('Not “', others.name, '”: look for ', alike.`by`, '.')) ORDER BY others.name SEPARATOR ' ')
        FROM item_told_from AS alike JOIN items AS others ON others.id = alike.other_id WHERE alike.item_id = items.id) AS told_from";

    /** @var array<string, Item> by code */
    private array $items = [];

    /**
     * @var array<string, object{
     *     id: string, code: string, name: string, class: string, count_unit: string, dated: int, sterile: int,
     *     purpose: string, caution: string|null, told_from: string|null, start_minutes: int|string|null, comes_back: int|string,
     * }> by code
     */
    private array $rows = [];

    /**
     * @param  list<string>  $codes
     * @return array<string, Item> by code; codes not known are left out
     */
    public function items(array $codes): array
    {
        $this->read($codes);

        return array_intersect_key($this->items, array_flip($codes));
    }

    /** @return list<Item> the whole catalogue, by code */
    public function all(): array
    {
        return array_values($this->items(array_values(DB::table('items')->orderBy('code')->pluck('code')->map(strval(...))->all())));
    }

    /**
     * @return object{
     *     id: string, code: string, name: string, class: string, count_unit: string, dated: int, sterile: int,
     *     purpose: string, caution: string|null, told_from: string|null, start_minutes: int|string|null, comes_back: int|string,
     * }|null
     */
    public function item(string $code): ?object
    {
        $this->read([$code]);

        return $this->rows[$code] ?? null;
    }

    public function name(string $code): string
    {
        return $this->item($code)->name ?? $code;
    }

    /**
     * @param  list<string>  $codes
     * @return array<string, object> as the page names them, by code
     */
    public function rows(array $codes): array
    {
        $this->read($codes);

        return array_intersect_key($this->rows, array_flip($codes));
    }

    /**
     * Items as they were read before, under what is true now.
     *
     * @param  array<string, Item>  $items
     * @param  array<string, object>  $rows
     */
    public function remember(array $items, array $rows): void
    {
        $this->items += $items;
        /**
         * @var array<string, object{
         *     id: string, code: string, name: string, class: string, count_unit: string, dated: int, sterile: int,
         *     purpose: string, caution: string|null, told_from: string|null, start_minutes: int|string|null, comes_back: int|string,
         * }> $rows
         */
        $this->rows += $rows;
    }

    /** Forgets what was read, after the catalogue changed. */
    public function forget(): void
    {
        $this->items = [];
        $this->rows = [];
    }

    /** @param  list<string>  $codes */
    private function read(array $codes): void
    {
        $missing = array_values(array_filter($codes, fn (string $code): bool => ! array_key_exists($code, $this->rows)));
        if ($missing === []) {
            return;
        }
        $items = DB::table('items')
            ->leftJoin('items as newer', 'newer.id', '=', 'items.superseded_by_id')
            ->whereIn('items.code', $missing)
            ->get(['items.*', 'newer.code as superseded_by', DB::raw(self::TOLD_FROM)]);
        $ids = $items->pluck('id')->all();
        $sizes = [];
        foreach (DB::table('item_measures')->whereIn('item_id', $ids)->orderBy('id')->get() as $measure) {
            $sizes[$measure->item_id][$measure->measure] = Quantity::of($measure->quantity);
        }
        $needs = [];
        $companions = DB::table('item_needs')
            ->join('item_need_companions', 'item_need_companions.item_need_id', '=', 'item_needs.id')
            ->join('items', 'items.id', '=', 'item_need_companions.item_id')
            ->whereIn('item_needs.item_id', $ids)
            ->orderBy('item_need_companions.id')
            ->get(['item_needs.id', 'item_needs.item_id', 'item_needs.per', 'item_needs.quantity', 'items.code']);
        foreach ($companions as $companion) {
            $needs[$companion->item_id][$companion->id]['any_of'][] = $companion->code;
            $needs[$companion->item_id][$companion->id]['row'] = $companion;
        }
        foreach ($items as $item) {
            /**
             * @var object{
             *     id: string, code: string, name: string, class: string, count_unit: string, dated: int,
             *     sterile: int, purpose: string, caution: string|null, told_from: string|null, start_minutes: int|string|null,
             *     comes_back: int|string,
             * } $item
             */
            $this->rows[$item->code] = $item;
            /**
             * @var object{
             *     only_for_trained: int, mass_g: int, scope: string, keeps_as_reserve: int, superseded_by: string|null,
             *     opened_life: int|null, opened_life_unit: 'days'|'weeks'|'months'|null,
             * } $more
             */
            $more = $item;
            $this->items[$item->code] = new Item(
                $item->code,
                new ItemClass($item->class),
                (bool) $item->dated,
                (int) $more->mass_g,
                $sizes[$item->id] ?? [],
                Scope::from($more->scope),
                (bool) $more->keeps_as_reserve,
                array_values(
                    array_map(
                        static fn (array $need): CompanionNeed => new CompanionNeed(
                            $need['any_of'],
                            CompanionsPer::from($need['row']->per),
                            (int) $need['row']->quantity,
                        ),
                        $needs[$item->id] ?? [],
                    ),
                ),
                $more->superseded_by,
                $more->opened_life === null ? null : OpenedLife::days((int) $more->opened_life, $more->opened_life_unit ?? 'days'),
                (bool) $more->only_for_trained,
            );
        }
    }
}
