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

/** What kits are missing, over all of them, less what lies good and in date in any store: what is left is to be bought. */
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
            yield [$row->item, $row->what, $row->missing, $row->in_stores, $row->pieces, $row->is_critical ? 'yes' : 'no', implode(' ', $row->kits)];
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['item', 'name', 'missing', 'in_stores', 'to_buy', 'for_a_critical_line', 'kits'];
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
            ->orderByDesc('is_critical')->orderBy('what')->get();
        $there = DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereNotNull('holdings.store_id')->where('holdings.condition', 'good')
            ->whereIn('items.code', $wanted->pluck('item_code')->filter()->all())
            ->where(static fn ($dated) => $dated->whereNull('lots.good_until')->orWhere('lots.good_until', '>=', $today))
            ->groupBy('items.code')->selectRaw('items.code, SUM(holdings.quantity) AS pieces')->pluck('pieces', 'code')->all();

        return array_values($wanted->map(fn (stdClass $row): ToBuyRow => $this->row($row, (int) ($there[$row->item_code ?? ''] ?? 0)))
            ->filter(static fn (ToBuyRow $row): bool => $row->pieces > 0)->all());
    }

    private function row(stdClass $row, int $there): ToBuyRow
    {
        $pieces = max(0, (int) $row->missing - $there);

        return new ToBuyRow(
            $row->item_code, $row->what, (int) $row->missing, $there, $pieces, (bool) $row->is_critical,
            $row->item_code === null || $pieces === 0 ? null : $this->prices->wholePacks($row->item_code, $pieces),
            explode(',', (string) $row->codes), (int) $row->kits,
        );
    }
}
