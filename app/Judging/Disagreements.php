<?php

declare(strict_types=1);

namespace App\Judging;

use App\Accounts\Models\Organisation;
use App\Kits\Models\Kit;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Verdict;

/** The looks at a kit that disagree with what is on record, and that no later full check has answered. */
final readonly class Disagreements
{
    public function __construct(private Organisation $organisation)
    {
    }

    /** The worst of those that are open: a better one that came after it takes nothing back. */
    public function worstOf(Kit $kit): ?Disagreement
    {
        if ($kit->disputed_by === null) {
            return null;
        }
        $worst = null;
        foreach ($this->open($kit) as $check) {
            $one = new Disagreement(
                Verdict::from($check->verdict), (int) $check->number, (string) $check->user_name,
                Day::of($this->organisation->dayOf(CarbonImmutable::parse($check->received_at, 'UTC'))), $check->standing === 'stands',
            );
            $worst = $worst === null || $one->verdict->isWorseThan($worst->verdict) ? $one : $worst;
        }

        return $worst;
    }

    /** @return list<\stdClass> latest first */
    private function open(Kit $kit): array
    {
        $inDoubt = static fn (Builder $row): Builder => $row->from('check_rows')
            ->whereColumn('check_rows.operation_number', 'checks.operation_number')
            ->where('check_rows.kit_id', $kit->id)->where('in_doubt', true);
        // A full check that was recorded after it and done no earlier; one that was there before it is what it disagrees with.
        $answered = static fn (Builder $full): Builder => $full->from('checks as answers')
            ->join('operations as later', 'later.number', '=', 'answers.operation_number')
            ->where('answers.kit_id', $kit->id)->where('answers.standing', 'stands')->where('later.kind', 'full_check')
            ->whereColumn('later.number', '>', 'operations.number')->whereColumn('later.done_at', '>=', 'operations.done_at');

        return array_values(
            DB::table('checks')->join('operations', 'operations.number', '=', 'checks.operation_number')->where('checks.kit_id', $kit->id)
                ->where(static fn (Builder $doubt): Builder => $doubt->where('checks.standing', 'disputed')
                    ->orWhere(static fn (Builder $rows): Builder => $rows->where('checks.standing', 'stands')->whereExists($inDoubt)))
                ->whereNotExists($answered)->orderByDesc('operations.number')
                ->get(['operations.number', 'checks.verdict', 'checks.standing', 'operations.user_name', 'operations.received_at'])->all(),
        );
    }
}
