<?php

declare(strict_types=1);

namespace App\Reports;

use App\Judging\OpenReports;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Reports\Http\ReportedItem;
use App\Reports\Http\ReportResource;
use App\Reports\Models\KitReport;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What was reported used of a kit: what waits, and what was decided last; and which items may be named in a report. */
final class ReadReports
{
    private const DECIDED = 5;

    /** @return list<ReportResource> those that wait first, earliest first; then those decided last */
    public function of(Kit $kit): array
    {
        $ofKit = KitReport::query()->with(['user', 'decidedBy'])->where('kit_id', $kit->id);
        $open = (clone $ofKit)->whereNull('outcome')->orderBy('reported_at')->orderBy('id')->get();
        $all = $open->concat($ofKit->whereNotNull('outcome')->orderByDesc('decided_at')->limit(self::DECIDED)->get());
        $rows = DB::table('kit_report_rows')->join('items', 'items.id', '=', 'kit_report_rows.item_id')
            ->whereIn('report_id', $all->pluck('id')->all())->orderBy('items.name')->get(['report_id', 'items.code', 'items.name', 'pieces'])
            ->groupBy('report_id');
        $counted = OpenReports::countedSince([$kit->id]);
        $instant = static fn (?string $at): ?string => $at === null ? null : KitHistory::said($at);

        return array_values($all->map(static fn (KitReport $report): ReportResource => new ReportResource(
            $report->id, (string) $instant($report->reported_at), $report->user?->name,
            array_values(($rows->get($report->id) ?? collect())->map(
                static fn (stdClass $row): ReportedItem => new ReportedItem($row->code, $row->name, (int) $row->pieces),
            )->all()),
            isset($counted[$report->id]), $report->outcome, $report->decidedBy?->name, $instant($report->decided_at), $report->reason,
        ))->all());
    }

    /** @return array<string, string> names of the items on record in a kit, by code: all that is shown to who has no account */
    public function names(string $kitId): array
    {
        $kit = Kit::query()->with('modules')->find($kitId);

        return $kit === null ? [] : self::itemsOf($kit)->orderBy('items.name')->pluck('items.name', 'items.code')->all();
    }

    public static function itemsOf(Kit $kit): Builder
    {
        $ids = array_map(static fn (Kit $one): string => $one->id, $kit->whole());

        return DB::table('items')->whereIn('items.id', DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
            ->whereIn('holdings.kit_id', $ids)->where('holdings.quantity', '>', 0)->select('lots.item_id'));
    }
}
