<?php

declare(strict_types=1);

namespace App\Builds;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Builds\Models\Build;
use App\Catalogue\Catalogue;
use App\Checks\Arrivals;
use App\Checks\KeepUnsettled;
use App\Checks\Recorded;
use App\Checks\UnsettledRow;
use App\Judging\KitContents;
use App\Judging\KitJudge;
use App\Judging\KitStates;
use App\Kits\KitSeal;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\LotMovement;
use App\Ledger\Names;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Parts\PartRow;
use App\Ledger\Parts\Weighed;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Staging\KeepStaging;
use App\Stock\AsFarAsThere;
use App\Stock\LateMovements;
use App\Stock\Models\Store;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Packing\Weighing;

/**
 * Records a kit as it was repacked: every piece on record is accounted for, and what the design asks for is back in. It is no check:
 * that follows. Sent twice, it counts once; what arrives late is recorded as far as the pieces are there, and somebody settles the rest.
 */
final class FinishBuild
{
    public function __construct(
        private readonly Record $record,
        private readonly Arrivals $arrivals,
        private readonly AsFarAsThere $asFarAsThere,
        private readonly LateMovements $late,
        private readonly KitStates $states,
        private readonly KitSeal $seal,
        private readonly KeepUnsettled $unsettled,
        private readonly KitContents $contents,
        private readonly KitJudge $judge,
        private readonly Catalogue $catalogue,
        private readonly Organisation $organisation,
        private readonly KeepBuilds $builds,
        private readonly KeepStaging $staging,
    ) {
    }

    public function __invoke(BuildReport $report, User $by): Recorded
    {
        return Transaction::run(function () use ($report, $by): Recorded {
            [$whole, $kit] = LockWhole::around($report->kitId);
            $store = Store::query()->where('id', $report->storeId)->lockForUpdate()->firstOrFail();
            $before = $this->arrivals->before($report->id, OperationKind::Build, $by, $kit);
            if ($before !== null) {
                return $before;
            }
            $arrival = $this->arrivals->of($kit, $report->base, $report->when);
            if ($arrival->isAfterRetirement) {
                return $this->arrivals->keepRetired($report->id, OperationKind::Build, $kit, $by, $report->when, $report->body);
            }
            $arrival->refuseUnexplained([$kit], $report->sealReason, 'Packing anew');
            if (! $arrival->isLate) {
                LockWhole::refuseSealedAround($whole, $kit, 'seal_reason');
                $this->refuseUnaccounted($kit, $report);
                $report = $report->at($report->when->notBefore($kit->last_done_at));
            }
            $movements = BuildMovements::of($report);
            [$possible, $rest] = match (true) {
                $arrival->isLate => $this->late->of($movements, [$kit->id => $kit], $report->base, $arrival->head, $report->when, $by),
                $report->base->isBefore($arrival->head->number) => ($this->asFarAsThere)($movements, false),
                default => [$movements, []],
            };
            $names = new Names;
            $names->read($possible);
            $prepared = $this->staging->parts($kit, $report->prepared);
            $this->staging->follow([$kit], $prepared);
            $parts = [
                ...$this->seal->opened($kit, $report->when, $report->sealReason, $report->sealSet),
                ...$prepared,
                ...$this->weighed($kit, $report, $possible, $names, $arrival->isLate),
                // Number, date and condition of every piece were asked: it counts as a full check.
                ...($arrival->isLate ? [] : [new KitChanged($kit->id, KitChanged::COUNTED, null, 'repack')]),
            ];

            return $this->write($whole, $kit, $store, $report, $by, $possible, $rest, $parts, $names);
        });
    }

    /**
     * @param  list<LotMovement>  $movements
     * @param  list<UnsettledRow>  $rest
     * @param  list<PartRow>  $parts
     */
    private function write(
        Kit $whole, Kit $kit, Store $store, BuildReport $report, User $by, array $movements, array $rest, array $parts, Names $names,
    ): Recorded {
        $when = $report->when;
        // It may have been begun without a network: then it ends as it begins.
        $build = Build::query()->where('id', $report->id)->lockForUpdate()->first();
        if ($build !== null && $build->ended_at === null) {
            $this->builds->close($build, $kit, $by, $when->receivedAt, 'recorded');
        }
        $operation = new Operation(
            $report->id, OperationKind::Build, $by, $when->begunAt, $when->doneAt, $when->receivedAt, $this->organisation->dayOf($when->doneAt),
            $report->base, [$kit, ...$whole->besides($kit)], [$store], $movements, $parts, names: $names, clockCheckedAt: $when->clockCheckedAt,
        );
        try {
            $number = $this->record->write($operation, $kit->retired_on === null
                ? fn () => $this->states->renew($whole, $this->organisation->dayOf($when->receivedAt))
                : null);
        } catch (PiecesAreNotThere $short) {
            throw ValidationException::withMessages(['pieces' => $short->getMessage().' Look at the list again.']);
        }
        $this->unsettled->keep($report->id, OperationKind::Build, $kit, $by, $when, $rest, $number);
        if (LateMovements::leavesDoubt($rest)) {
            $this->states->renew(Kit::locked($whole->id), $this->organisation->dayOf($when->receivedAt));
        }

        return Recorded::under($number, $report->id);
    }

    /** Everything is out: what is on record and is not spoken of would stay in it unseen. */
    private function refuseUnaccounted(Kit $kit, BuildReport $report): void
    {
        $said = [];
        foreach ($report->pieces as $piece) {
            $said[$piece->key()] = $piece->recorded;
        }
        foreach ($this->contents->of($kit) as $row) {
            if (str_contains($row->pocketId, '.')) {
                continue;
            }
            if (($said[$row->key()] ?? null) !== $row->quantity) {
                throw ValidationException::withMessages(['pieces' => "{$row->quantity} × {$this->catalogue->name($row->itemCode)}".
                    ($row->lot === null ? '' : " (lot {$row->lot})").' on record, and not accounted for. Open the kit again.']);
            }
            unset($said[$row->key()]);
        }
        if ($said !== []) {
            throw ValidationException::withMessages(['pieces' => "Something is named that is not on record in {$kit->code}. Open the kit again."]);
        }
    }

    /**
     * @param  list<LotMovement>  $movements
     * @return list<Weighed> none where it was not weighed
     */
    private function weighed(Kit $kit, BuildReport $report, array $movements, Names $names, bool $isLate): array
    {
        if ($report->weighed === null) {
            return [];
        }
        $judged = $this->judge->judge($kit, $this->organisation->dayOf($report->when->doneAt));
        $computed = $judged->judgement->mass;
        $codes = array_map(static fn (LotMovement $one): string => $names->lot($one->lotId)->itemCode, $movements);
        $items = $this->catalogue->items(array_values(array_unique($codes)));
        foreach ($movements as $at => $movement) {
            $mass = $movement->quantity * ($items[$codes[$at]]->mass ?? 0);
            $computed += ($movement->to?->kitId === null ? 0 : $mass) - ($movement->from?->kitId === null ? 0 : $mass);
        }
        // What was packed long ago cannot be put on the scales again.
        $isToExplain = $judged->plan->isEmptyMassKnown && (new Weighing($computed, $report->weighed))->isToExplain();
        if (! $isLate && $report->weighedBecause === null && $isToExplain) {
            throw ValidationException::withMessages(['weighed_because' => "Weighed {$report->weighed} g, calculated {$computed} g: more than ".
                Weighing::ASK_OVER.' % apart. Weigh it again, or say why.']);
        }

        return [new Weighed($kit->id, $computed, $report->weighed, $report->weighedBecause)];
    }
}
