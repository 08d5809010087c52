<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Accounts\SignedName;
use App\Judging\AsChecked;
use App\Judging\ContentRow;
use App\Judging\Judged;
use App\Judging\KitContents;
use App\Judging\KitJudge;
use App\Judging\KitStates;
use App\Kits\DoubtSeal;
use App\Kits\KitSeal;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\KitEvent;
use App\Ledger\KitFacts;
use App\Ledger\KitHistory;
use App\Ledger\LostTail;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\OperationSince;
use App\Ledger\Parts\CheckOutcome;
use App\Ledger\Parts\CheckRow;
use App\Ledger\Record;
use App\Stock\Lots;
use App\Support\Transaction;
use App\Tasks\TaskKind;
use App\Tasks\TasksOfKit;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/**
 * Records a finished check, whole or not at all: what was counted becomes movements, the core judges what is there now, and all of it
 * is one operation of the record. Sent twice, it counts once. What arrives late is kept in any case, and compared (docs/rules.md).
 */
final class FinishCheck
{
    public function __construct(
        private readonly Record $record,
        private readonly Arrivals $arrivals,
        private readonly LateCheck $late,
        private readonly Lots $lots,
        private readonly KitJudge $judge,
        private readonly KitContents $contents,
        private readonly KitStates $states,
        private readonly KitSeal $seal,
        private readonly CheckParts $parts,
        private readonly KeepUnsettled $unsettled,
        private readonly DisagreeingLines $disagreeing,
        private readonly CarriedOver $carriedOver,
        private readonly Organisation $organisation,
        private readonly CheckNotes $notes,
        private readonly TasksOfKit $tasks,
        private readonly Shortfalls $shortfalls,
        private readonly DoubtSeal $doubtSeal,
    ) {
    }

    /** @throws ValidationException where it cannot be recorded as it was sent; a wrong number read on a seal is recorded all the same */
    public function __invoke(CheckReport $report, User $by): Recorded
    {
        try {
            return $this->record($report, $by);
        } catch (WrongSealNumber $wrong) {
            ($this->doubtSeal)($report->kitId, $report->id, (string) $report->sealFound, $report->when, $by);

            throw ValidationException::withMessages(['seal_found' => $wrong->getMessage()]);
        }
    }

    private function record(CheckReport $report, User $by): Recorded
    {
        return Transaction::run(function () use ($report, $by): Recorded {
            $kind = $report->isFull() ? OperationKind::FullCheck : OperationKind::QuickCheck;
            [$whole, $kit] = LockWhole::around($report->kitId);
            $before = $this->arrivals->before($report->id, $kind, $by, $kit);
            if ($before !== null) {
                return $before;
            }
            SignedName::refuseUnexplained($by, $report->signed, $report->signedBecause);
            $arrival = $this->arrivals->of($kit, $report->base, $report->when);
            if ($arrival->isAfterRetirement) {
                return $this->arrivals->keepRetired($report->id, $kind, $kit, $by, $report->when, $report->body);
            }
            if ($kit->retired_on !== null) {
                return $this->ofRetired($whole, $kit, $report, $kind, $by);
            }
            $since = $arrival->since;
            $report = $since === [] ? $report->at($report->when->notBefore($kit->last_done_at)) : $report;
            $recorded = $report->isFull() ? $this->full($whole, $kit, $report, $by, $since) : $this->quick($whole, $kit, $report, $by, $since);
            if ($report->note !== null && $recorded->operation !== null) {
                $this->notes->leave($recorded->operation, $kit->id);
            }

            return $recorded;
        });
    }

    /** @param  list<OperationSince>  $since */
    private function full(Kit $whole, Kit $kit, CheckReport $report, User $by, array $since): Recorded
    {
        if ($since === []) {
            LockWhole::refuseSealedAround($whole, $kit, 'seal_reason');
        }
        $opened = OpenedModules::of($kit, $report->modules, $since !== []);
        // A seal that its checker could not know of asks for no reason of theirs.
        foreach ($report->sealReason === null && ! OperationSince::anySetASeal($since) ? [$kit, ...$opened->kits] : [] as $one) {
            if ($one->seal === Seal::Intact) {
                throw ValidationException::withMessages([
                    'seal_reason' => "A full check breaks the seal of {$one->code}. Say in writing why it was opened, ".
                        'such as "planned full check".',
                ]);
            }
        }
        [$before, $closed] = $opened->apart($this->contents->of($kit));
        [$rows, $homeless] = ($this->carriedOver)($kit, $since, $this->lots->resolve($report->rows));
        [$counted] = $opened->apart($rows);
        $counted = array_values(array_filter($counted, static fn (ContentRow $row): bool => $row->quantity > 0));
        $standing = $this->late->standing($report->when, $since);
        $after = match (true) {
            $standing !== 'stands' => new ContentsAfter($before),
            $since === [] => new ContentsAfter($counted),
            default => $this->late->contents($kit, $report->when, $since, $before, $counted),
        };
        $day = $this->organisation->dayOf($report->when->doneAt);
        $seals = [];
        foreach ($standing === 'stands' ? [$kit, ...$opened->kits] : [] as $one) {
            $own = $this->seal->opened($one, $report->when, $report->sealReason, $one === $kit ? $report->sealSet : $opened->sealSet($one));
            array_push($seals, ...$own);
            if ($since === []) {
                $event = new KitEvent(KitEvent::FORESEEN, '', $day, OperationKind::FullCheck, 'stands', false, false, $own, []);
                $one->forceFill(KitFacts::of($one)->then($event)->columns());
            }
        }
        $checked = new AsChecked($report->when->isSure() ? KitHistory::instant($report->when->begunAt) : null, $opened->relied);
        $judged = $this->judge->judge($kit, $day, [...$counted, ...$closed], $checked);
        if ($since === [] && $report->answered !== null) {
            LookedAt::every($judged, $report->answered, $opened->relied);
        }
        $rows = $this->parts->rows($kit->id, $judged, $before, $counted, $after);
        $operation = $this->operation(
            $report,
            OperationKind::FullCheck,
            [$kit, ...$whole->besides($kit)],
            $by,
            $day,
            [
                $this->parts->outcome($kit->id, $standing, $judged, $report->sealFound),
                ...$this->outcomesOf($opened, $standing, $judged, $day),
                ...$rows,
                ...$this->parts->lines($judged),
                ...$this->parts->findings($judged),
                ...$seals,
            ],
            Corrections::of($kit->id, $before, $after->rows),
            $rows,
        );
        $restsOnLost = LostTail::concerns($report->base);
        $isPlain = $since === [] && ! $restsOnLost;
        $number = $this->record->write($operation, $isPlain ? fn () => $this->keep($whole, $kit, $judged, $day, $by) : null);
        if ($isPlain) {
            $this->shortfalls->note($number, $kit, $report, $before, $counted);
            // A report of a module waits: by this check, which is on record only now, it is counted.
            $whole !== $kit && $kit->open_reports > 0 ? $this->states->renew($whole, $day) : null;
        } else {
            $this->unsettled->keep($report->id, OperationKind::FullCheck, $kit, $by, $report->when, [
                ...$homeless, ...UnsettledRow::ofRowsInDoubt($rows), ...$this->disagreeing->with($judged, $since),
                ...($restsOnLost ? [new UnsettledRow('lost_tail', "{$kit->code} {$kit->name}")] : []),
            ], $number);
            $this->states->renew($whole, $this->organisation->today());
        }

        return Recorded::under($number, $report->id);
    }

    /** @return list<CheckOutcome> of the modules that were opened, each by its own document */
    private function outcomesOf(OpenedModules $opened, string $standing, Judged $judged, string $day): array
    {
        return array_map(function (Kit $module) use ($standing, $judged, $day): CheckOutcome {
            $own = array_values(array_filter(array_map(
                static fn (ContentRow $row): ?ContentRow => $row->withinModule($module->id),
                $judged->rows,
            )));

            return $this->parts->outcome($module->id, $standing, $this->judge->judge($module, $day, $own, new AsChecked(null)), null);
        }, $opened->kits);
    }

    /** A module is judged with the kit that it is in. */
    private function keep(Kit $whole, Kit $kit, Judged $judged, string $day, User $by): void
    {
        $this->tasks->done($kit, TaskKind::Check, $by, $this->organisation->today());
        $whole === $kit ? $this->states->keep($kit, $judged, $day) : $this->states->renew($whole, $day);
    }

    /** @param  list<OperationSince>  $since */
    private function quick(Kit $whole, Kit $kit, CheckReport $report, User $by, array $since): Recorded
    {
        $isPast =
            array_filter(
                $since,
                static fn (OperationSince $one): bool => $one->breaksSeal ||
                    $one->kind === OperationKind::Use ||
                    $one->kind === OperationKind::HandBack ||
                    $one->kind === OperationKind::FullCheck,
            ) !== [];
        if (! $isPast) {
            SealReading::refuseWrong($report, $kit);
        }
        $day = $this->organisation->dayOf($report->when->doneAt);
        $standing = $isPast ? 'history' : 'stands';
        $read = $standing === 'stands' ? SealReading::again($report, $kit) : [];
        $event = new KitEvent(KitEvent::FORESEEN, '', $day, OperationKind::QuickCheck, $standing, false, false, $read, []);
        $kit->forceFill(KitFacts::of($kit)->then($event)->columns());
        $judged = $this->judge->judge($kit, $day);
        $operation = $this->operation($report, OperationKind::QuickCheck, [$kit, ...$whole->besides($kit)], $by, $day, [
            $this->parts->outcome($kit->id, $standing, $judged, $report->sealFound),
            ...$this->parts->lines($judged),
            ...$this->parts->findings($judged),
            ...$read,
        ]);
        $number = $this->record->write($operation, $since === [] ? fn () => $this->keep($whole, $kit, $judged, $day, $by) : null);
        if ($since !== []) {
            $this->states->renew($whole, $this->organisation->today());
        }

        return Recorded::under($number, $report->id);
    }

    /** A kit that is out of service by now: what was done before that is history. */
    private function ofRetired(Kit $whole, Kit $kit, CheckReport $report, OperationKind $kind, User $by): Recorded
    {
        $before = $this->contents->of($kit);
        $counted = $report->isFull()
            ? array_values(array_filter($this->lots->resolve($report->rows), static fn (ContentRow $row): bool => $row->quantity > 0))
            : $before;
        $day = $this->organisation->dayOf($report->when->doneAt);
        $judged = $this->judge->judge($kit, $day, $counted, $report->isFull() ? new AsChecked(null) : null);
        $rows = $report->isFull() ? $this->parts->rows($kit->id, $judged, $before, $counted, new ContentsAfter($before)) : [];

        return Recorded::under(
            $this->record->write(
                $this->operation(
                    $report,
                    $kind,
                    [$kit, ...$whole->besides($kit)],
                    $by,
                    $day,
                    [
                        $this->parts->outcome($kit->id, 'history', $judged, $report->sealFound),
                        ...$rows,
                        ...$this->parts->lines($judged),
                        ...$this->parts->findings($judged),
                    ],
                    [],
                    $rows,
                ),
            ),
            $report->id,
        );
    }

    /**
     * @param  non-empty-list<Kit>  $kits  the one that was checked first
     * @param  list<\App\Ledger\Parts\PartRow>  $parts
     * @param  list<\App\Ledger\LotMovement>  $movements
     * @param  list<CheckRow>  $rows
     */
    private function operation(
        CheckReport $report,
        OperationKind $kind,
        array $kits,
        User $by,
        string $day,
        array $parts,
        array $movements = [],
        array $rows = [],
    ): Operation {
        return new Operation(
            $report->id, $kind, $by, $report->when->begunAt, $report->when->doneAt, $report->when->receivedAt, $day, $report->base, $kits, [],
            $movements, $parts, $report->signed, $report->note, $this->parts->names($rows), $report->when->clockCheckedAt,
            SignedName::isOf($by->name, $report->signed) ? null : $report->signedBecause,
        );
    }
}
