<?php

declare(strict_types=1);

namespace App\Uses;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/**
 * How often items were used, from the record: uses that were said, and what a check did not find and somebody said was used. A use is one
 * operation in which pieces of the item left a kit for care, training or somebody else.
 */
final class UseRates
{
    /** Records so old say little of today. */
    public const DAYS = 365;

    private const REASONS = ['used', 'training', 'given'];

    /**
     * Counts what was used at some places. Pieces that a check did not find count too where nobody said that they are elsewhere: they were
     * used and not written down, or must be replaced in any case.
     *
     * @param  list<string>  $places
     * @return array<string, UsedItem> by the code of the item
     */
    public function ofPlaces(array $places, string $today): array
    {
        $from = (string) Day::of($today)->plusDays(-self::DAYS);
        $said = $this->said($from)->join('kits', 'kits.id', '=', 'movements.from_kit_id')->whereIn('kits.place_id', $places)
            ->groupBy('movements.item_code')
            ->selectRaw('movements.item_code AS code, COUNT(DISTINCT movements.operation_number) AS uses, SUM(movements.quantity) AS pieces')->get();
        $found = DB::table('shortfalls')->join('items', 'items.id', '=', 'shortfalls.item_id')->where('day', '>', $from)
            ->where(static fn (Builder $why) => $why->whereNull('why')->orWhereIn('why', ['used', 'unknown']))->whereIn('place_id', $places)
            ->groupBy('items.code')->selectRaw('items.code, COUNT(*) AS uses, SUM(pieces) AS pieces')->get();
        $items = [];
        foreach ($said->concat($found) as $row) {
            $before = $items[$row->code] ?? new UsedItem(0, 0);
            $items[$row->code] = new UsedItem($before->uses + (int) $row->uses, $before->pieces + (int) $row->pieces);
        }

        return $items;
    }

    /** @return list<stdClass> `kit_id`, `code` of the item and `pieces` that were used of it */
    public function ofKits(string $today): array
    {
        $from = (string) Day::of($today)->plusDays(-self::DAYS);
        $said = $this->said($from)->groupBy('movements.from_kit_id', 'movements.item_code')
            ->selectRaw('movements.from_kit_id AS kit_id, movements.item_code AS code, SUM(movements.quantity) AS pieces')->get();
        $found = $this->found($from)->groupBy('shortfalls.kit_id', 'items.code')
            ->selectRaw('shortfalls.kit_id, items.code, SUM(pieces) AS pieces')->get();

        return array_values($said->concat($found)->groupBy(static fn (stdClass $row): string => "{$row->kit_id} {$row->code}")
            ->map(static fn ($same): stdClass => (object) [
                'kit_id' => $same->first()?->kit_id, 'code' => (string) $same->first()?->code, 'pieces' => (int) $same->sum('pieces'),
            ])->all());
    }

    /** @return int over how many days the records go, one at least */
    public function daysOnRecord(string $today): int
    {
        $first = DB::table('operations')->whereIn('kind', ['equip', 'use', 'hand_back', 'full_check', 'restock'])->min('day');

        return $first === null ? 1 : max(1, min(self::DAYS, Day::of($today)->number - Day::of($first)->number + 1));
    }

    private function said(string $from): Builder
    {
        return DB::table('movements')->join('operations', 'operations.number', '=', 'movements.operation_number')
            ->whereIn('operations.kind', ['use', 'hand_back'])->where('operations.day', '>', $from)
            ->whereNotNull('movements.from_kit_id')->whereIn('movements.reason', self::REASONS);
    }

    private function found(string $from): Builder
    {
        return DB::table('shortfalls')->join('items', 'items.id', '=', 'shortfalls.item_id')->where('why', 'used')->where('day', '>', $from);
    }
}
