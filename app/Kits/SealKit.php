<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Checks\KeepUnsettled;
use App\Checks\LateCheck;
use App\Checks\Recorded;
use App\Checks\UnsettledRow;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Head;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\OperationsSince;
use App\Ledger\Record;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** Records that a kit was closed with a numbered seal, or that its seal was found broken or was broken, and why. */
final class SealKit
{
    public function __construct(
        private readonly Record $record,
        private readonly OperationsSince $since,
        private readonly KitSeal $seal,
        private readonly KitStates $states,
        private readonly LateCheck $late,
        private readonly KeepUnsettled $unsettled,
        private readonly Organisation $organisation,
    ) {
    }

    public function __invoke(SealReport $report, User $by): Recorded
    {
        return Transaction::run(function () use ($report, $by): Recorded {
            $kind = $report->isSet ? OperationKind::SealSet : OperationKind::SealBroken;
            [$whole, $kit] = LockWhole::around($report->kitId);
            $known = $this->record->known($report->id, $kind, $by, [$kit->id]);
            if ($known !== null || $this->unsettled->has($report->id, $kit, $by)) {
                return Recorded::under($known, $report->id);
            }
            $head = Head::read();
            $this->record->refuseAhead($report->base, $head);
            $isLate = $this->since->of($kit, $report->base, $head) !== [];
            if ($kit->retired_on !== null && ! $this->late->wasBeforeRetirement($kit, $report->when)) {
                $this->unsettled->keep(
                    $report->id,
                    $kind,
                    $kit,
                    $by,
                    $report->when,
                    [new UnsettledRow('kit_retired', "{$kit->code} {$kit->name}: {$report->text}")],
                    null,
                );

                return Recorded::under(null, $report->id);
            }
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
