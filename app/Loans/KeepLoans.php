<?php

declare(strict_types=1);

namespace App\Loans;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\ContentRow;
use App\Judging\Words;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\LoanTerms;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Loans\Models\Loan;
use App\Stock\Models\Store;
use App\Stock\StoreReport;
use App\Stock\StoreTask;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** What is lent to another team or organisation, or borrowed from one, until it has come back. */
final class KeepLoans
{
    public function __construct(private readonly Record $record, private readonly Organisation $organisation)
    {
    }

    /**
     * Within the transaction that records the loan.
     *
     * @param  list<ContentRow>  $rows
     *
     * @throws ValidationException where it is to end before it begins
     */
    public function make(StoreReport $report, array $rows, User $by, string $today): LoanTerms
    {
        [$partner, $dueOn] = [(string) $report->partner, (string) $report->dueOn];
        if ($dueOn < $this->organisation->dayOf($report->when->doneAt)) {
            throw ValidationException::withMessages(['due_on' => 'That day is past. Say until when.']);
        }
        Loan::query()->create([
            'id' => $report->id, 'way' => $report->task === StoreTask::Lend ? 'lent' : 'borrowed', 'store_id' => $report->storeId,
            'partner' => $partner, 'due_on' => $dueOn, 'note' => $report->reason, 'made_by_id' => $by->id, 'made_on' => $today,
        ]);
        $pieces = [];
        foreach ($rows as $row) {
            $pieces[(string) $row->lotId] = ($pieces[(string) $row->lotId] ?? 0) + $row->quantity;
        }
        DB::table('loan_rows')->insert(array_map(static fn (string $lot, int $quantity): array => [
            'loan_id' => $report->id, 'lot_id' => $lot, 'quantity' => $quantity,
        ], array_keys($pieces), $pieces));

        return new LoanTerms($report->id, $partner, $dueOn);
    }

    /**
     * Pieces that came back, or were given back. What came back set apart is looked over before it is used.
     *
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  array<string, int>  $pieces  by lot
     * @param  bool  $isFinal  nothing more will come back: the rest is written off
     * @return int the number of the operation
     */
    public function comeBack(Loan $loan, string $id, array $pieces, bool $isFinal, ?string $note, User $by, CarbonInterface $at): int
    {
        return Transaction::run(function () use ($loan, $id, $pieces, $isFinal, $note, $by, $at): int {
            $store = Store::query()->where('id', $loan->store_id)->lockForUpdate()->firstOrFail();
            $kind = self::kindOf($loan);
            $known = $this->record->known($id, $kind, $by, []);
            if ($known !== null) {
                return $known;
            }
            $loan = Loan::query()->where('id', $loan->id)->lockForUpdate()->firstOrFail();
            $movements = $this->backOf($loan, $pieces);
            $operation = Operation::now($id, $kind, $by, $at, $this->organisation->dayOf($at))->of([], [$store])
                ->with($movements, [new LoanTerms($loan->id, $loan->partner, $loan->due_on)])->saying(null, $note);
            try {
                $number = $this->record->write($operation);
            } catch (PiecesAreNotThere $short) {
                throw ValidationException::withMessages(['rows' => $short->getMessage().' Put them back into the store first.']);
            }
            foreach ($pieces as $lot => $quantity) {
                DB::table('loan_rows')->where('loan_id', $loan->id)->where('lot_id', $lot)->increment('back', $quantity);
            }
            $open = DB::table('loan_rows')->where('loan_id', $loan->id)->whereColumn('back', '<', 'quantity')->exists();
            if ($isFinal || ! $open) {
                $loan->update(['ended_on' => $this->organisation->dayOf($at)]);
            }

            return $number;
        });
    }

    /** Another day is agreed on: recorded, so that it can be shown later who agreed to it and when. The same day again is nothing new. */
    public function prolong(Loan $loan, string $dueOn, User $by, CarbonInterface $at): void
    {
        Transaction::run(function () use ($loan, $dueOn, $by, $at): void {
            $store = Store::query()->where('id', $loan->store_id)->lockForUpdate()->firstOrFail();
            $loan = Loan::query()->where('id', $loan->id)->lockForUpdate()->firstOrFail();
            if ($loan->ended_on !== null) {
                throw ValidationException::withMessages(['due_on' => 'This loan has ended.']);
            }
            if ($loan->due_on === $dueOn) {
                return;
            }
            $this->record->write(
                Operation::now(Str::lower((string) Str::ulid()), self::kindOf($loan), $by, $at, $this->organisation->dayOf($at))->of([], [$store])
                    ->with([], [new LoanTerms($loan->id, $loan->partner, $dueOn)])
                    ->saying(null, sprintf(
                        '%s: %s by %s instead of %s.', $loan->partner, $loan->way === 'lent' ? 'to come back' : 'to be given back',
                        Words::date($dueOn), Words::date($loan->due_on),
                    )),
            );
            $loan->update(['due_on' => $dueOn]);
        });
    }

    private static function kindOf(Loan $loan): OperationKind
    {
        return $loan->way === 'lent' ? OperationKind::Lend : OperationKind::Borrow;
    }

    /**
     * @param  array<string, int>  $pieces
     * @return list<LotMovement>
     *
     * @throws ValidationException where more comes back than is out
     */
    private function backOf(Loan $loan, array $pieces): array
    {
        if ($loan->ended_on !== null) {
            throw ValidationException::withMessages(['rows' => 'All of this has come back already. Open the store again.']);
        }
        $out = DB::table('loan_rows')->where('loan_id', $loan->id)->get()->keyBy('lot_id');
        $movements = [];
        foreach ($pieces as $lot => $quantity) {
            $left = isset($out[$lot]) ? (int) $out[$lot]->quantity - (int) $out[$lot]->back : 0;
            if ($quantity > $left) {
                throw ValidationException::withMessages(['rows' => "Only {$left} of these are still out. Enter at most {$left}."]);
            }
            $movements[] = $loan->way === 'lent'
                ? new LotMovement($lot, $quantity, null, Location::store($loan->store_id), 'lent')
                : new LotMovement($lot, $quantity, Location::store($loan->store_id), null, 'borrowed');
        }

        return $movements;
    }
}
