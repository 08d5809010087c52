<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\ContentRow;
use App\Judging\KitJudge;
use App\Judging\KitStates;
use App\Judging\Reason;
use App\Judging\Words;
use App\Ledger\Chain;
use App\Ledger\CheckSeal;
use App\Ledger\Entry;
use App\Ledger\Ledger;
use App\Ledger\Spot;
use App\Models\Check;
use App\Models\Kit;
use App\Models\User;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Records a finished check, whole or not at all: what was counted becomes movements, the core judges
 * what is there now, and the check is signed into its chain. Sent twice, it counts once.
 */
final class FinishCheck
{
    public function __construct(
        private readonly Ledger $ledger,
        private readonly Lots $lots,
        private readonly KitJudge $judge,
        private readonly KitStates $states,
        private readonly Words $words,
        private readonly Changes $changes,
    ) {
    }

    /** @throws \App\Exceptions\Stale where the contents changed in the meantime */
    public function __invoke(CheckReport $report, User $by, CarbonInterface $at, string $day): Check
    {
        return DB::transaction(function () use ($report, $by, $at, $day): Check {
            $kit = Kit::query()->where('id', $report->kitId)->lockForUpdate()->firstOrFail();
            $kit->refuseRetired();
            $known = Check::query()->where('id', $report->id)->first();
            if ($known !== null) {
                if ($known->kit_id !== $kit->id || $known->user_id !== $by->id) {
                    throw ValidationException::withMessages(['id' => 'This check was recorded before, for another kit or by somebody else.']);
                }

                return $known;
            }
            $this->refuseWrongSeal($report, $kit);
            if ($report->kind === 'full') {
                $this->changes->refuseSince($kit, $report->base, 'The contents changed while you were checking. Count again what is named below; the rest of what you entered is kept.', ['counted']);
            }
            $before = $this->judge->recorded($kit);
            $counted = $report->kind === 'full' ? $this->lots->resolve($report->rows) : $before;
            $head = Chain::Checks->lock();
            $this->answer($kit, $report, $day);
            $judged = $this->judge->judge($kit, $day, array_values(array_filter($counted, static fn (ContentRow $row): bool => $row->quantity > 0)));
            $check = [
                'number' => $head->number + 1,
                'id' => $report->id,
                'kit_id' => $kit->id,
                'kind' => $report->kind,
                'started_at' => $report->startedAt->copy()->utc()->format('Y-m-d H:i:s'),
                'finished_at' => $at->copy()->utc()->format('Y-m-d H:i:s'),
                'day' => $day,
                'user_id' => $by->id,
                'signed' => $report->signed,
                'verdict' => $judged->judgement->verdict->value,
                'mass_g' => $judged->judgement->mass,
                'next_check' => (string) $judged->judgement->assignment->policy->nextCheck,
                'seal_found' => $report->sealFound,
                'seal_set' => $report->sealSet,
                'seal_reason' => $report->sealReason,
                'note' => $report->note,
            ];
            $rows = $report->kind === 'full' ? $this->rows($head->number + 1, $before, $counted) : [];
            $lines = $this->lines($head->number + 1, $judged);
            $findings = $this->findings($head->number + 1, $this->words->reasons($judged));
            $link = $head->after(CheckSeal::covered($check, $rows, $lines, $findings));
            DB::table('checks')->insert([...$check, 'hash' => $link->hash]);
            DB::table('check_rows')->insert($rows);
            DB::table('check_lines')->insert($lines);
            DB::table('check_findings')->insert($findings);
            Chain::Checks->moveTo($link);
            $this->ledger->record($this->corrections($kit, $before, $counted), $by, $at, $report->id);
            $this->states->keep($kit, $judged, $day);

            return Check::query()->where('number', $link->number)->firstOrFail();
        }, 3);
    }

    private function refuseWrongSeal(CheckReport $report, Kit $kit): void
    {
        if ($report->kind === 'quick') {
            if ($kit->seal !== 'intact') {
                throw ValidationException::withMessages(['kind' => 'A quick check looks at a whole seal, and this kit has none. Do a full check.']);
            }
            if ($report->sealFound !== $kit->seal_number) {
                throw ValidationException::withMessages(['seal_found' => "The seal on record is {$kit->seal_number}. If another one is on the kit, somebody opened it: do a full check and say why."]);
            }
        } elseif ($kit->seal === 'intact' && $report->sealReason === null) {
            throw ValidationException::withMessages(['seal_reason' => "A full check breaks seal {$kit->seal_number}. Say in writing why it was opened, such as \"planned full check\"."]);
        }
    }

    private function answer(Kit $kit, CheckReport $report, string $day): void
    {
        if ($report->kind === 'quick') {
            $kit->last_quick_on = $day;
        } else {
            $kit->last_full_on = $day;
            $kit->used_on = null;
            $kit->seal_broken_on = null;
            $kit->seal_broken_reason = null;
            $kit->seal = $report->sealSet === null ? 'none' : 'intact';
            $kit->seal_number = $report->sealSet;
        }
        $kit->save();
    }

    /**
     * What was counted otherwise than recorded, as movements within the kit where a piece only changed its pocket or condition.
     *
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $counted
     * @return list<Entry>
     */
    private function corrections(Kit $kit, array $before, array $counted): array
    {
        /** @var array<string, list<array{Spot, int}>> $less */
        $less = [];
        /** @var array<string, list<array{Spot, int}>> $more */
        $more = [];
        $amounts = [];
        foreach ([[$before, -1], [$counted, 1]] as [$rows, $sign]) {
            foreach ($rows as $row) {
                $key = "{$row->lotId} {$row->pocketId} {$row->condition}";
                $amounts[$key] ??= [(string) $row->lotId, Spot::pocket($kit->id, $row->pocketId, $row->condition), 0];
                $amounts[$key][2] += $sign * $row->quantity;
            }
        }
        foreach ($amounts as [$lot, $spot, $amount]) {
            if ($amount < 0) {
                $less[$lot][] = [$spot, -$amount];
            } elseif ($amount > 0) {
                $more[$lot][] = [$spot, $amount];
            }
        }
        $entries = [];
        foreach ($less as $lot => $sources) {
            foreach ($sources as [$from, $left]) {
                foreach ($more[$lot] ?? [] as $index => [$to, $wanted]) {
                    $quantity = min($left, $wanted);
                    if ($quantity > 0) {
                        $entries[] = new Entry((string) $lot, $quantity, $from, $to, 'counted');
                        $left -= $quantity;
                        $more[$lot][$index][1] -= $quantity;
                    }
                }
                if ($left > 0) {
                    $entries[] = new Entry((string) $lot, $left, $from, null, 'counted');
                }
            }
        }
        foreach ($more as $lot => $targets) {
            foreach ($targets as [$to, $wanted]) {
                if ($wanted > 0) {
                    $entries[] = new Entry((string) $lot, $wanted, null, $to, 'counted');
                }
            }
        }

        return $entries;
    }

    /**
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $counted
     * @return list<array<string, string|int>>
     */
    private function rows(int $number, array $before, array $counted): array
    {
        $sum = [];
        foreach ([['recorded', $before], ['counted', $counted]] as [$column, $rows]) {
            foreach ($rows as $row) {
                $key = "{$row->pocketId} {$row->lotId} {$row->condition}";
                $sum[$key] ??= [
                    'check_number' => $number, 'position' => count($sum), 'pocket_id' => $row->pocketId, 'lot_id' => (string) $row->lotId,
                    'condition' => $row->condition, 'recorded' => 0, 'counted' => 0,
                ];
                $sum[$key][$column] += $row->quantity;
            }
        }

        return array_values($sum);
    }

    /** @return list<array<string, string|int|null>> */
    private function lines(int $number, \App\Judging\Judged $judged): array
    {
        $lines = [];
        foreach ($judged->judgement->lines as $position => $outcome) {
            $lines[] = [
                'check_number' => $number, 'position' => $position, 'code' => $outcome->line->id,
                'need' => $judged->plan->line($outcome->line->id)->need, 'rank' => $outcome->line->rank->value,
                'required' => (string) $outcome->required, 'effective' => (string) $outcome->effective,
                'reserve' => $outcome->reserve, 'short' => (string) $outcome->short,
            ];
        }

        return $lines;
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<array<string, string|int>>
     */
    private function findings(int $number, array $reasons): array
    {
        return array_map(static fn (int $position, Reason $reason): array => [
            'check_number' => $number, 'position' => $position, 'kind' => $reason->kind, 'severity' => $reason->severity, 'text' => mb_substr($reason->text, 0, 300),
        ], array_keys($reasons), $reasons);
    }
}
