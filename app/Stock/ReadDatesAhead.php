<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\Organisation;
use App\Catalogue\Prices;
use App\Stock\Http\DatesAhead;
use App\Stock\Http\ExpiringRow;
use App\Stock\Http\MonthAhead;
use App\Support\Listing\PageOf;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Which pieces expire in each of the months ahead, where they are, and what it costs to replace them. By their printed dates. */
final class ReadDatesAhead
{
    private const MONTHS = 13;

    private const COLUMNS = [
        'lots.good_until', 'lots.number', 'kits.code as kit', 'kits.name as kit_name', 'stores.id as store', 'stores.name as store_name',
        'places.path', 'items.code', 'items.name as item', 'holdings.quantity',
    ];

    public function __construct(private readonly Prices $prices, private readonly Organisation $organisation)
    {
    }

    /** @param  string|null  $month  as YYYY-MM; null or none of those ahead: the first in which something expires */
    public function __invoke(string $today, ?string $month, int $page): DatesAhead
    {
        $months = $this->months($today);
        $busy = array_values(array_filter($months, static fn (MonthAhead $one): bool => $one->in_kits + $one->in_stores > 0));
        $known = array_map(static fn (MonthAhead $one): string => $one->month, $months);
        $shown = in_array($month, $known, true) ? (string) $month : ($busy[0] ?? $months[0])->month;
        $last = CarbonImmutable::parse("{$shown}-01")->endOfMonth()->toDateString();
        $in = $this->rows($today)->whereBetween('lots.good_until', ["{$shown}-01", $last]);
        [$rows, $read] = PageOf::read($in, $page, self::COLUMNS);

        return new DatesAhead($months, $shown, array_map($this->row(...), $rows), $read, $this->organisation->currency);
    }

    /** @return iterable<list<string|int|null>> all of them, for a sheet */
    public function sheet(string $today): iterable
    {
        foreach ($this->rows($today)->select(self::COLUMNS)->cursor() as $one) {
            $row = $this->row($one);
            yield [$row->good_until, $row->kit, $row->where, $row->place, $row->item, $row->name, $row->lot, $row->pieces, $row->cost];
        }
    }

    /** @return list<string> */
    public static function headings(): array
    {
        return ['good_until', 'kit', 'kit_or_store', 'place', 'item', 'name', 'lot', 'pieces', 'cost'];
    }

    /** @return list<MonthAhead> */
    private function months(string $today): array
    {
        $sums = $this->among($today)->groupByRaw('month, items.code')
            ->selectRaw("DATE_FORMAT(lots.good_until, '%Y-%m') AS month, items.code, ".
                'SUM(IF(holdings.kit_id IS NULL, 0, holdings.quantity)) AS in_kits, '.
                'SUM(IF(holdings.kit_id IS NULL, holdings.quantity, 0)) AS in_stores')
            ->get()->groupBy('month');
        $months = [];
        for ($at = 0; $at < self::MONTHS; $at++) {
            $month = CarbonImmutable::parse($today)->startOfMonth()->addMonths($at)->format('Y-m');
            $rows = $sums->get($month) ?? new Collection;
            $pieces = array_filter($rows->mapWithKeys(static fn (stdClass $row): array => [(string) $row->code => (int) $row->in_kits])->all());
            [$cost, $without] = $this->prices->byThePiece($pieces);
            $months[] = new MonthAhead($month, array_sum($pieces), (int) $rows->sum('in_stores'), $cost, $without);
        }

        return $months;
    }

    /** Good pieces of kits in service and of stores, that expire from that day on. */
    private function among(string $today): Builder
    {
        $last = CarbonImmutable::parse($today)->startOfMonth()->addMonths(self::MONTHS - 1)->endOfMonth()->toDateString();

        return DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->leftJoin('kits', 'kits.id', '=', 'holdings.kit_id')
            ->where('holdings.condition', 'good')->whereBetween('lots.good_until', [$today, $last])->whereNull('kits.retired_on');
    }

    private function rows(string $today): Builder
    {
        return $this->among($today)->leftJoin('stores', 'stores.id', '=', 'holdings.store_id')
            ->join('places', 'places.id', '=', DB::raw('COALESCE(kits.place_id, stores.place_id)'))
            ->orderBy('lots.good_until')->orderBy('places.walk_order')->orderBy('kits.code')->orderBy('stores.name')
            ->orderBy('holdings.id');
    }

    private function row(stdClass $row): ExpiringRow
    {
        [$cost, $without] = $this->prices->byThePiece([(string) $row->code => (int) $row->quantity]);

        return new ExpiringRow(
            $row->good_until, $row->kit, $row->store, $row->kit_name ?? $row->store_name, $row->path, $row->code, $row->item, $row->number,
            (int) $row->quantity, $without > 0 ? null : $cost,
        );
    }
}
