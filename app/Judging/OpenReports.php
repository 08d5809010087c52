<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Kits\Models\Kit;
use App\Ledger\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/** What was reported used of kits and waits. Asked only for kits that say so themselves, so that many are judged at once. */
final readonly class OpenReports
{
    /** More are not kept: with so many waiting, nobody knows what is in the bag. */
    public const MOST = 5;

    public function __construct(private Organisation $organisation)
    {
    }

    /**
     * @param  list<Kit>  $parts  the kit that is judged, and the modules in it
     * @param  AsChecked|null  $checked  as though a full check were signed
     * @return list<OpenReport> earliest first
     */
    public function of(array $parts, ?AsChecked $checked = null): array
    {
        $ids = [];
        foreach ($parts as $one) {
            if ($one->open_reports > 0) {
                $ids[] = $one->id;
            }
        }
        if ($ids === []) {
            return [];
        }
        $rows = DB::table('kit_reports')->join('kit_report_rows', 'kit_report_rows.report_id', '=', 'kit_reports.id')
            ->join('items', 'items.id', '=', 'kit_report_rows.item_id')
            ->whereIn('kit_reports.kit_id', $ids)->whereNull('kit_reports.outcome')
            ->orderBy('kit_reports.reported_at')->orderBy('kit_reports.id')->orderBy('items.name')
            ->get(['kit_reports.id', 'kit_reports.kit_id', 'reported_at', 'items.code', 'items.name', 'pieces']);
        $counted = self::countedSince($ids);

        return array_values($rows->groupBy('id')->map(function ($same) use ($counted, $checked): OpenReport {
            $first = $same->first() ?? new stdClass;

            return new OpenReport(
                $first->kit_id,
                Day::of($this->organisation->dayOf(CarbonImmutable::parse($first->reported_at, 'UTC'))),
                array_map(intval(...), $same->pluck('pieces', 'code')->all()),
                isset($counted[$first->id]) || ($checked?->countsSince($first->kit_id, $first->reported_at) ?? false),
                $same->map(static fn (stdClass $row): string => "{$row->pieces} × {$row->name}")->implode(', '),
            );
        })->all());
    }

    /**
     * Beyond doubt: a check by a clock that may be wrong may have been begun before.
     *
     * @param  list<string>  $kits
     * @return array<string, true> reports since which a full check that stands was begun and signed, by id
     */
    public static function countedSince(array $kits): array
    {
        return array_fill_keys(
            DB::table('kit_reports')->join('checks', 'checks.kit_id', '=', 'kit_reports.kit_id')
                ->join('operations', 'operations.number', '=', 'checks.operation_number')
                ->whereIn('kit_reports.kit_id', $kits)->whereNull('kit_reports.outcome')->where('checks.standing', 'stands')
                ->where('operations.kind', 'full_check')->whereRaw(WhenDone::IS_SURE)
                ->whereColumn('operations.begun_at', '>=', 'kit_reports.reported_at')
                ->pluck('kit_reports.id')->all(),
            true,
        );
    }

    /**
     * Adds up what was reported used of one kit and no full check has counted since.
     *
     * @param  list<OpenReport>  $reports  of that kit
     * @param  array<ContentRow>  $rows  in it
     * @return array<string, int> pieces by the item's code with a dot before it; where so many reports wait that further ones are not
     *                            kept, everything in it may have been used
     */
    public static function used(array $reports, array $rows): array
    {
        $waiting = array_filter($reports, static fn (OpenReport $report): bool => ! $report->isCounted);
        $used = [];
        foreach ($waiting as $report) {
            foreach ($report->pieces as $item => $pieces) {
                $used[".{$item}"] = ($used[".{$item}"] ?? 0) + $pieces;
            }
        }
        if (count($waiting) >= self::MOST) {
            $all = [];
            foreach ($rows as $row) {
                $all[".{$row->itemCode}"] = ($all[".{$row->itemCode}"] ?? 0) + $row->quantity;
            }
            $used = [...$used, ...$all];
        }

        return $used;
    }
}
