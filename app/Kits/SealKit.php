<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Checks\Arrivals;
use App\Checks\Recorded;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Record;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** Records that a kit was closed with a numbered seal, or that its seal was found broken or was broken, and why. */
final class SealKit
{
    public function __construct(
        private readonly Record $record,
        private readonly Arrivals $arrivals,
        private readonly KitSeal $seal,
        private readonly KitStates $states,
        private readonly Organisation $organisation,
    ) {
    }

    public function __invoke(SealReport $report, User $by): Recorded
    {
        return Transaction::run(function () use ($report, $by): Recorded {
            $kind = $report->isSet ? OperationKind::SealSet : OperationKind::SealBroken;
            [$whole, $kit] = LockWhole::around($report->kitId);
            $before = $this->arrivals->before($report->id, $kind, $by, $kit);
            if ($before !== null) {
                return $before;
            }
            $arrival = $this->arrivals->of($kit, $report->base, $report->when);
            if ($arrival->isAfterRetirement) {
                return $this->arrivals->keepRetired($report->id, $kind, $kit, $by, $report->when, null, ": {$report->text}");
            }
            $isLate = $arrival->since !== [];
            $this->refuseWrong($kit, $report, $isLate);
            $when = $isLate ? $report->when : $report->when->notBefore($kit->last_done_at);
            $operation = new Operation(
                $report->id,
                $kind,
                $by,
                $when->begunAt,
                $when->doneAt,
                $when->receivedAt,
                $this->organisation->dayOf($when->doneAt),
                $report->base,
                [$kit, ...$whole->besides($kit)],
                [],
                [],
                $report->isSet ? $this->seal->opened($kit, $when, null, $report->text) : $this->seal->opened($kit, $when, $report->text, null),
                clockCheckedAt: $when->clockCheckedAt,
            );

            return Recorded::under(
                $this->record->write(
                    $operation,
                    $kit->retired_on === null ? fn () => $this->states->renew($whole, $this->organisation->dayOf($when->receivedAt)) : null,
                ),
                $report->id,
            );
        });
    }

    private function refuseWrong(Kit $kit, SealReport $report, bool $isLate): void
    {
        if ($isLate) {
            return;
        }
        if ($report->isSet && $kit->seal === Seal::Intact) {
            throw ValidationException::withMessages([
                'seal_number' => 'A seal is intact on record. Report it broken first, with the reason.',
            ]);
        }
        if (! $report->isSet && $kit->seal !== Seal::Intact) {
            throw ValidationException::withMessages(['reason' => 'No intact seal is on record for this kit. Load the page again.']);
        }
    }
}
