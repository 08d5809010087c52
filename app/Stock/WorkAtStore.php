<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Catalogue\Prices;
use App\Checks\CountedRow;
use App\Judging\ContentRow;
use App\Ledger\Head;
use App\Ledger\Holdings;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationIdIsTaken;
use App\Ledger\Parts\PartRow;
use App\Ledger\Parts\Receipt;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Loans\KeepLoans;
use App\Stock\Models\Store;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Records what was received, counted, disposed of or moved at a store. Sent twice, it counts once. */
final class WorkAtStore
{
    public function __construct(
        private readonly Record $record,
        private readonly Lots $lots,
        private readonly Holdings $holdings,
        private readonly MovedSince $moved,
        private readonly GoodsInward $goods,
        private readonly Organisation $organisation,
        private readonly Prices $prices,
        private readonly SetApart $apart,
        private readonly KeepLoans $loans,
        private readonly KeepRecalls $recalls,
    ) {
    }

    /**
     * @return int the number of the operation
     *
     * @throws ValidationException at each row that cannot be recorded; nothing is recorded then
     */
    public function __invoke(StoreReport $report, User $by): int
    {
        return Transaction::run(function () use ($report, $by): int {
            $stores = $this->lock($report);
            $known = $this->record->known($report->id, $report->task->kind(), $by, []);
            if ($known !== null) {
                return $this->refuseOther($known, $report);
            }
            foreach ($stores as $store) {
                if ($store->retired_on !== null) {
                    throw ValidationException::withMessages(['store' => "{$store->name} is no longer used. Choose another store."]);
                }
            }
            $this->record->refuseAhead($report->base, Head::read());
            $isNew = $report->task->comesIn();
            if ($isNew) {
                $this->goods->refuse($report->rows, $this->organisation->today(), $this->prices, $this->organisation->currency);
            }
            $rows = $this->lots->resolve(array_map(
                static fn (ShelfRow $row): CountedRow => $isNew ? $row->row->asNewLot() : $row->row,
                $report->rows,
            ));
            $this->refuseTwice($rows);
            $movements = match ($report->task) {
                StoreTask::Receive => $this->received($report, $rows),
                StoreTask::Count => $this->counted($report, $rows),
                StoreTask::Dispose => $this->gone($report, $rows, null, 'discarded'),
                StoreTask::Move => $this->gone($report, $rows, $report->toStoreId, 'transferred'),
                StoreTask::SetApart, StoreTask::Release, StoreTask::Repack => $this->apart->movements($report, $rows),
                StoreTask::Lend => $this->gone($report, $rows, null, 'lent'),
                StoreTask::Borrow => $this->received($report, $rows, 'borrowed'),
            };
            $parts = $report->task === StoreTask::Receive ? $this->receipts($report, $rows) : [];
            if ($report->task->isLoan()) {
                $parts = [$this->loans->make($report, $rows, $by, $this->organisation->today())];
            }

            $this->recalls->follow($report, $rows, $this->organisation->today(), $by);

            return $this->write($report, $by, $stores, $movements, $parts);
        });
    }

    /** Sent again it is answered as the first time; the same id at another store is another thing. */
    private function refuseOther(int $known, StoreReport $report): int
    {
        $isHere = DB::table('operation_stores')->where('operation_number', $known)->where('store_id', $report->storeId)->exists();

        return $isHere ? $known : throw new OperationIdIsTaken;
    }

    /** @return list<Store> by id, so that two who move pieces to and fro do not wait for one another */
    private function lock(StoreReport $report): array
    {
        $ids = array_values(array_unique(array_filter([$report->storeId, $report->toStoreId])));
        sort($ids);

        return array_values(Store::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get()->all());
    }

    /** @param  list<ContentRow>  $rows */
    private function refuseTwice(array $rows): void
    {
        $seen = [];
        foreach ($rows as $at => $row) {
            $key = "{$row->lotId} {$row->condition}";
            if (isset($seen[$key])) {
                throw ValidationException::withMessages([
                    "rows.{$at}.lot" => 'This lot stands in row '.($seen[$key] + 1).' already. Say there how many there are in all.',
                ]);
            }
            $seen[$key] = $at;
        }
    }

    /**
     * @param  list<ContentRow>  $rows
     * @return list<LotMovement>
     */
    private function received(StoreReport $report, array $rows, string $why = 'received'): array
    {
        return array_map(static fn (ContentRow $row): LotMovement => new LotMovement(
            (string) $row->lotId, $row->quantity, null, Location::store($report->storeId, $row->condition), $why,
        ), $rows);
    }

    /**
     * What was counted, beside what lay there when it was counted: what was recorded as done since then is left as it is.
     *
     * @param  list<ContentRow>  $rows
     * @return list<LotMovement>
     */
    private function counted(StoreReport $report, array $rows): array
    {
        $movements = [];
        $errors = [];
        $since = $this->moved->at($report->storeId, $report->base, $report->when);
        foreach ($rows as $at => $row) {
            $place = Location::store($report->storeId, $row->condition);
            $key = "{$row->lotId} {$row->condition}";
            if (isset($since->inDoubt[$key])) {
                $errors["rows.{$at}.quantity"] = 'Pieces of this lot were put in or taken out while you counted. Count this lot again.';

                continue;
            }
            $then = $this->holdings->of($place, (string) $row->lotId) - ($since->after[$key] ?? 0);
            $differ = $row->quantity - $then;
            if ($differ !== 0) {
                $movements[] = $differ > 0
                    ? new LotMovement((string) $row->lotId, $differ, null, $place, 'counted')
                    : new LotMovement((string) $row->lotId, -$differ, $place, null, 'counted');
            }
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }
        if ($movements !== [] && trim((string) $report->reason) === '') {
            throw ValidationException::withMessages([
                'reason' => 'What you counted differs from the record. Say why, such as "found behind the boxes", or that nobody knows.',
            ]);
        }

        return $movements;
    }

    /**
     * @param  list<ContentRow>  $rows
     * @return list<LotMovement>
     */
    private function gone(StoreReport $report, array $rows, ?string $toStoreId, string $why): array
    {
        return array_map(static fn (ContentRow $row): LotMovement => new LotMovement(
            (string) $row->lotId, $row->quantity, Location::store($report->storeId, $row->condition),
            $toStoreId === null ? null : Location::store($toStoreId, $row->condition), $why,
        ), $rows);
    }

    /**
     * @param  list<ContentRow>  $rows
     * @return list<Receipt>
     */
    private function receipts(StoreReport $report, array $rows): array
    {
        return array_map(fn (ContentRow $row, ShelfRow $shelf): Receipt => new Receipt(
            (string) $row->lotId, $shelf->packs, $shelf->price, $shelf->price === null ? null : $this->organisation->currency,
            $report->supplier, $report->deliveryNote,
        ), $rows, $report->rows);
    }

    /**
     * @param  list<Store>  $stores
     * @param  list<LotMovement>  $movements
     * @param  list<PartRow>  $parts
     */
    private function write(StoreReport $report, User $by, array $stores, array $movements, array $parts): int
    {
        $when = $report->when;
        try {
            return $this->record->write(new Operation(
                $report->id, $report->task->kind(), $by, $when->begunAt, $when->doneAt, $when->receivedAt, $this->organisation->dayOf($when->doneAt),
                $report->base, [], $stores, $movements, $parts, note: $report->reason, clockCheckedAt: $when->clockCheckedAt,
            ));
        } catch (PiecesAreNotThere $short) {
            $at = $this->rowOf($report, $short);
            throw ValidationException::withMessages(["rows.{$at}.quantity" => $short->getMessage()]);
        }
    }

    private function rowOf(StoreReport $report, PiecesAreNotThere $short): int
    {
        $item = DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->where('lots.id', $short->lotId)
            ->first(['items.code', 'lots.number']);
        foreach ($report->rows as $at => $row) {
            $isLot = mb_strtoupper((string) $row->row->lot) === mb_strtoupper((string) $item?->number);
            if ($item !== null && $row->row->itemCode === $item->code && $isLot) {
                return $at;
            }
        }

        return 0;
    }
}
