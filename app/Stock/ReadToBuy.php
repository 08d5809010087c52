<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\Organisation;
use App\Catalogue\Prices;
use App\Judging\KitStates;
use App\Stock\Http\ToBuy;
use App\Stock\Http\ToBuyRow;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What kits are missing, over all of them, less what lies good and in date in any store: what is left is to be bought. Where what is left
 * in the stores then is below their least of an item, they are filled up to their target.
 */
final class ReadToBuy
{
    private const CODES = 8;

    public function __construct(private readonly Prices $prices, private readonly Organisation $organisation)
    {
    }

    public function __invoke(string $today): ToBuy
    {
        $rows = $this->rows($today);
        $costs = array_filter(array_map(static fn (ToBuyRow $row): ?int => $row->cost, $rows), static fn (?int $cost): bool => $cost !== null);

        return new ToBuy(
            $rows, $costs === [] ? null : array_sum($costs), count($rows) - count($costs), $this->organisation->currency,
            KitStates::notPresent($today)->count(),
        );
    }

    /** @return iterable<list<string|int|null>> for a sheet */
    public function sheet(string $today): iterable
    {
        foreach ($this->rows($today) as $row) {
            yield [
                $row->item, $row->what, $row->missing, $row->in_stores, $row->for_stores, $row->pieces, $row->is_critical ? 'yes' : 'no',
                implode(' ', $row->kits),
            ];
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['item', 'name', 'missing', 'in_stores', 'for_stores', 'to_buy', 'for_a_critical_line', 'kits'];
    }

    /** @return list<ToBuyRow> critical first, then by name */
    private function rows(string $today): array
    {
        $wanted = DB::table('kit_wants')->join('kits', 'kits.id', '=', 'kit_wants.kit_id')
            ->leftJoin('items', 'items.code', '=', 'kit_wants.item_code')
            ->whereNull('kits.retired_on')->whereNull('kits.parent_kit_id')
            ->groupByRaw('kit_wants.item_code, COALESCE(items.name, kit_wants.what)')
            ->selectRaw('kit_wants.item_code, COALESCE(items.name, kit_wants.what) AS what, SUM(kit_wants.pieces) AS missing, '.
                'MAX(kit_wants.is_critical) AS is_critical, COUNT(DISTINCT kits.id) AS kits, '.
                'SUBSTRING_INDEX(GROUP_CONCAT(DISTINCT kits.code ORDER BY kits.code), \',\', '.self::CODES.') AS codes')
            ->get();
        $levels = DB::table('store_levels')->join('items', 'items.id', '=', 'store_levels.item_id')
            ->groupBy('items.code', 'items.name')->selectRaw('items.code, items.name, SUM(least) AS least, SUM(target) AS target')
            ->get()->keyBy('code');
        $known = array_flip(array_filter($wanted->pluck('item_code')->all()));
        foreach ($levels as $code => $level) {
            if (! isset($known[$code])) {
                $wanted->push((object) [
                    'item_code' => $code, 'what' => $level->name, 'missing' => 0, 'is_critical' => 0, 'kits' => 0, 'codes' => '',
                ]);
            }
        }
        $there = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereNotNull('holdings.store_id')->where('holdings.condition', 'good')
            ->whereIn('items.code', $wanted->pluck('item_code')->filter()->all())
            ->where(static fn ($dated) => $dated->whereNull('lots.good_until')->orWhere('lots.good_until', '>=', $today))
            ->groupBy('items.code')->selectRaw('items.code, SUM(holdings.quantity) AS pieces')->pluck('pieces', 'code')->all();
        $rows = $wanted->map(fn (stdClass $row): ToBuyRow => $this->row(
            $row, (int) ($there[$row->item_code ?? ''] ?? 0), $levels->get($row->item_code ?? ''),
        ))->filter(static fn (ToBuyRow $row): bool => $row->pieces > 0)->all();
        usort($rows, static fn (ToBuyRow $one, ToBuyRow $other): int => [$other->is_critical, $one->what] <=> [$one->is_critical, $other->what]);

        return $rows;
    }

    private function row(stdClass $row, int $there, ?stdClass $level): ToBuyRow
    {
        $missing = (int) $row->missing;
        $isBelow = $level !== null && max(0, $there - $missing) < (int) $level->least;
        $forStores = $isBelow ? (int) $level->target : 0;
        $pieces = max(0, $missing + $forStores - $there);

        return new ToBuyRow(
            $row->item_code, $row->what, $missing, $there, $forStores, $pieces, (bool) $row->is_critical,
            $row->item_code === null || $pieces === 0 ? null : $this->prices->wholePacks($row->item_code, $pieces),
            $row->codes === '' ? [] : explode(',', (string) $row->codes), (int) $row->kits,
        );
    }
}
