<?php

declare(strict_types=1);

namespace App\Loans;

use App\Loans\Http\LoanResource;
use App\Loans\Http\LoanRow;
use App\Loans\Models\Loan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/** What is lent and borrowed and has not come back. */
final class ReadLoans
{
    /** Seen on Today from so many days before it is to come back. */
    private const NEAR_DAYS = 7;

    private const MOST = 200;

    /** @return list<LoanResource> of a store, or of all; due first first */
    public function open(?string $storeId, string $today): array
    {
        $open = Loan::query()->with('store')->where('ended_on', null);
        if ($storeId !== null) {
            $open = $open->where('store_id', $storeId);
        }

        return $this->described($open->orderBy('due_on')->orderBy('id')->limit(self::MOST)->get(), $today);
    }

    /** @return list<LoanResource> what is to come back, or to be given back, soon or by now */
    public function near(string $today): array
    {
        $until = (string) Day::of($today)->plusDays(self::NEAR_DAYS);

        return $this->described(Loan::query()->with('store')->where('ended_on', null)->where('due_on', '<=', $until)->orderBy('due_on')
            ->orderBy('id')->limit(self::MOST)->get(), $today);
    }

    /**
     * @param  Collection<int, Loan>  $loans
     * @return list<LoanResource>
     */
    private function described(Collection $loans, string $today): array
    {
        $rows = DB::table('loan_rows')->join('lots', 'lots.id', '=', 'loan_rows.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereIn('loan_id', $loans->pluck('id')->all())->orderBy('items.name')
            ->get(['loan_id', 'lot_id', 'items.name', 'lots.number', 'lots.good_until', 'quantity', 'back'])->groupBy('loan_id');

        return array_values($loans->map(static fn (Loan $loan): LoanResource => new LoanResource(
            $loan->id, $loan->way, $loan->store_id, $loan->store->name, $loan->partner, $loan->due_on,
            max(0, Day::of($today)->number - Day::of($loan->due_on)->number), $loan->note, $loan->made_on,
            array_values(($rows->get($loan->id) ?? collect())->map(static fn (stdClass $row): LoanRow => new LoanRow(
                $row->lot_id, $row->name, $row->number, $row->good_until, (int) $row->quantity, (int) $row->back,
            ))->all()),
        ))->all());
    }
}
