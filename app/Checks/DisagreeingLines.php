<?php

declare(strict_types=1);

namespace App\Checks;

use App\Judging\Judged;
use App\Ledger\OperationSince;
use Illuminate\Support\Facades\DB;

/** On which lines a full check disagrees with others that were recorded since it began. */
final class DisagreeingLines
{
    /**
     * @param  list<OperationSince>  $since
     * @return list<UnsettledRow>
     */
    public function with(Judged $judged, array $since): array
    {
        $checks = array_filter($since, static fn (OperationSince $one): bool => $one->isStandingFullCheck());
        if ($checks === []) {
            return [];
        }
        $last = $checks[array_key_last($checks)];
        $others = DB::table('check_lines')->where('operation_number', $last->number)->pluck('effective', 'code')->all();
        $rows = [];
        foreach ($judged->judgement->lines as $outcome) {
            $there = $others[$outcome->line->id] ?? null;
            if ($there !== null && $there !== (string) $outcome->effective) {
                $line = $judged->plan->line($outcome->line->id);
                $rows[] = new UnsettledRow(
                    'checks_disagree', "{$line->need}: {$outcome->effective} by this check, {$there} by check {$last->number}", null,
                    $line->pocketId === null ? null : $judged->plan->pockets[$line->pocketId]->name ?? null,
                );
            }
        }

        return $rows;
    }
}
