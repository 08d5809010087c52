<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\SealEvent;
use App\Ledger\Record;
use App\Ledger\WhenDone;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Sarcina\Core\Due\Seal;

/**
 * Records that a wrong number was read on a seal. The kit is not ready until the right number is read in the same visit, or a full check
 * answers it. The same wrong number read again in the visit is recorded once.
 */
final class DoubtSeal
{
    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
        private readonly Organisation $organisation,
    ) {
    }

    /** @param  string  $visit  the id of the check that read it */
    public function __invoke(string $kitId, string $visit, string $number, WhenDone $when, User $by): void
    {
        Transaction::run(function () use ($kitId, $visit, $number, $when, $by): void {
            [$whole, $kit] = LockWhole::around($kitId);
            $number = mb_substr(trim($number), 0, 40);
            if ($kit->retired_on !== null || $kit->seal !== Seal::Intact || $kit->isSealedWith($number) || $this->isRecorded($kit, $visit, $number)) {
                return;
            }
            $day = $this->organisation->dayOf($when->doneAt);
            $this->record->write(
                new Operation(
                    Str::lower((string) Str::ulid()), OperationKind::SealRead, $by, $when->begunAt, $when->doneAt, $when->receivedAt, $day,
                    kits: [$kit, ...$whole->besides($kit)], parts: [new SealEvent($kit->id, SealEvent::MISREAD, $number, $visit)],
                    clockCheckedAt: $when->clockCheckedAt,
                ),
                fn () => $this->states->renew($whole, $this->organisation->dayOf($when->receivedAt)),
            );
        });
    }

    private function isRecorded(Kit $kit, string $visit, string $number): bool
    {
        return DB::table('seals')->where('kit_id', $kit->id)->where('event', SealEvent::MISREAD)->where('reason', $visit)
            ->where('seal_number', $number)->exists();
    }
}
