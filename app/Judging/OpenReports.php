<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Kits\Models\Kit;
use App\Ledger\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
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
     * What is left where the reported pieces are gone: of an item the best first, so that nothing is taken for ready that is not. What counts
     * is the best, then what counts as reserve; of those what is good for longest.
     *
     * @param  list<ContentRow>  $rows
     * @param  Assignment  $assignment  of those rows
     * @param  list<OpenReport>  $reports
     * @return list<ContentRow>
     */
    public static function without(array $rows, Assignment $assignment, array $reports): array
    {
        $gone = [];
        foreach ($reports as $report) {
            foreach ($report->isCounted ? [] : $report->pieces as $item => $pieces) {
                $gone[$item] = ($gone[$item] ?? 0) + $pieces;
            }
        }
        $worth = static fn (int $at): array => [
            $assignment->isEffective($at), $assignment->isReserve($at), $assignment->contents[$at]->lastGoodDay()->number ?? PHP_INT_MAX,
        ];
        $best = array_keys($rows);
        usort($best, static fn (int $one, int $other): int => $worth($other) <=> $worth($one));
        foreach ($best as $at) {
            $taken = min($gone[$rows[$at]->itemCode] ?? 0, $rows[$at]->quantity);
            if ($taken > 0) {
                $gone[$rows[$at]->itemCode] -= $taken;
                $rows[$at] = $rows[$at]->of($rows[$at]->quantity - $taken);
            }
        }

        return array_values(array_filter($rows, static fn (ContentRow $row): bool => $row->quantity > 0));
    }
}
