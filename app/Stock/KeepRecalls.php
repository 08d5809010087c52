<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\User;
use App\Judging\ContentRow;
use App\Judging\KitStates;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Keeps which lots are under recall. Pieces of such a lot count nowhere, whatever a check, a late restock or a delivery says, until a lead
 * puts the lot back into stock.
 */
final class KeepRecalls
{
    public function __construct(private readonly KitStates $states)
    {
    }

    /**
     * Puts the lots under recall, or lifts the recall of those that are put back into stock.
     *
     * @param  list<ContentRow>  $rows
     *
     * @throws ValidationException where somebody other than a lead puts a recalled lot back
     */
    public function follow(StoreReport $report, array $rows, string $day, User $by): void
    {
        $lots = array_values(array_unique(array_map(static fn (ContentRow $row): string => (string) $row->lotId, $rows)));
        if ($report->task === StoreTask::SetApart && $report->isRecall) {
            $this->change($lots, ['recalled_on' => $day, 'recalled_because' => $report->reason]);
        } elseif ($report->task === StoreTask::Release) {
            $recalled = DB::table('lots')->whereIn('id', $lots)->whereNotNull('recalled_on')->pluck('id')->map(strval(...))->all();
            if ($recalled !== [] && ! $by->role->plans()) {
                throw ValidationException::withMessages(['rows' => 'This lot is recalled. Only a lead puts it back into stock.']);
            }
            $this->change(array_values($recalled), ['recalled_on' => null, 'recalled_because' => null]);
        }
    }

    /**
     * @param  list<string>  $lots
     * @param  array<string, string|null>  $to
     */
    private function change(array $lots, array $to): void
    {
        if ($lots === []) {
            return;
        }
        $this->states->beginChange();
        DB::table('lots')->whereIn('id', $lots)->update($to);
        $kits = DB::table('holdings')->whereIn('lot_id', $lots)->whereNotNull('kit_id')->distinct()->pluck('kit_id')->map(strval(...))->all();
        $this->states->mark(array_values($kits));
    }
}
