<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Facades\DB;

/** Items as the formats write them, read in a few queries and remembered for the request. */
final class Catalogue
{
    /** @var array<string, array<string, mixed>> by code */
    private array $documents = [];

    /** @var array<string, object{id: string, code: string, name: string, class: string, count_unit: string, dated: int, sterile: int, purpose: string, caution: string|null}> by code */
    private array $rows = [];

    /**
     * @param  list<string>  $codes
     * @return array<string, array<string, mixed>> by code, as in `sarcina.kit/1`; codes not known are left out
     */
    public function documents(array $codes): array
    {
        $this->read($codes);

        return array_intersect_key($this->documents, array_flip($codes));
    }

    /** @return object{id: string, code: string, name: string, class: string, count_unit: string, dated: int, sterile: int, purpose: string, caution: string|null}|null */
    public function item(string $code): ?object
    {
        $this->read([$code]);

        return $this->rows[$code] ?? null;
    }

    public function name(string $code): string
    {
        return $this->item($code)->name ?? $code;
    }

    /** Forgets what was read, after the catalogue changed. */
    public function forget(): void
    {
        $this->documents = [];
        $this->rows = [];
    }

    /** @param  list<string>  $codes */
    private function read(array $codes): void
    {
        $missing = array_values(array_diff($codes, array_map(strval(...), array_keys($this->rows))));
        if ($missing === []) {
            return;
        }
        $items = DB::table('items')
            ->leftJoin('items as newer', 'newer.id', '=', 'items.superseded_by_id')
            ->whereIn('items.code', $missing)
            ->get(['items.*', 'newer.code as superseded_by']);
        $ids = $items->pluck('id')->all();
        $sizes = [];
        foreach (DB::table('item_measures')->whereIn('item_id', $ids)->orderBy('id')->get() as $measure) {
            $sizes[$measure->item_id][$measure->measure] = $measure->quantity;
        }
        $needs = [];
        $companions = DB::table('item_needs')
            ->join('item_need_companions', 'item_need_companions.item_need_id', '=', 'item_needs.id')
            ->join('items', 'items.id', '=', 'item_need_companions.item_id')
            ->whereIn('item_needs.item_id', $ids)
            ->orderBy('item_need_companions.id')
            ->get(['item_needs.id', 'item_needs.item_id', 'item_needs.per', 'item_needs.quantity', 'items.code']);
        foreach ($companions as $companion) {
            $needs[$companion->item_id][$companion->id] ??= ['any_of' => [], 'per' => $companion->per, 'quantity' => (int) $companion->quantity];
            $needs[$companion->item_id][$companion->id]['any_of'][] = $companion->code;
        }
        foreach ($items as $item) {
            /** @var object{id: string, code: string, name: string, class: string, count_unit: string, dated: int, sterile: int, purpose: string, caution: string|null} $item */
            $this->rows[$item->code] = $item;
            /** @var object{mass_g: int, scope: string, keeps_as_reserve: int, superseded_by: string|null} $more */
            $more = $item;
            $this->documents[$item->code] = [
                'code' => $item->code,
                'class' => $item->class,
                'dated' => (bool) $item->dated,
                'mass_g' => (int) $more->mass_g,
                'size' => (object) ($sizes[$item->id] ?? []),
                'scope' => $more->scope,
                'reserve' => (bool) $more->keeps_as_reserve,
                'needs' => array_values($needs[$item->id] ?? []),
                'superseded_by' => $more->superseded_by,
            ];
        }
    }
}
