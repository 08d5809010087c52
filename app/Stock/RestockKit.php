<?php

declare(strict_types=1);

namespace App\Stock;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Checks\Arrivals;
use App\Checks\KeepUnsettled;
use App\Checks\Recorded;
use App\Checks\UnsettledRow;
use App\Judging\KitStates;
use App\Kits\KitSeal;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Rounds\KeepRounds;
use App\Staging\KeepStaging;
use App\Stock\Models\Store;
use App\Support\Transaction;
use App\Tasks\TaskKind;
use App\Tasks\TasksOfKit;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Records a restock, and judges the kit again. Sent twice, it counts once. Where the kit or the store is no longer as its doer saw it,
 * it is recorded as far as the pieces are there, and the rest waits for somebody to settle it.
 */
final class RestockKit
{
    public function __construct(
        private readonly Record $record,
        private readonly Arrivals $arrivals,
        private readonly AsFarAsThere $asFarAsThere,
        private readonly LateMovements $late,
        private readonly KitStates $states,
        private readonly KitSeal $seal,
        private readonly KeepUnsettled $unsettled,
        private readonly Organisation $organisation,
        private readonly TasksOfKit $tasks,
        private readonly StaysInKit $stays,
        private readonly NotFoundInStore $notFound,
        private readonly KeepStaging $staging,
    ) {
    }

    public function __invoke(RestockReport $report, User $by): Recorded
    {
        return Transaction::run(function () use ($report, $by): Recorded {
            [$whole, $kit] = LockWhole::around($report->kitId);
            $store = Store::query()->where('id', $report->storeId)->lockForUpdate()->firstOrFail();
            $before = $this->arrivals->before($report->id, OperationKind::Restock, $by, $kit);
            if ($before !== null) {
                return $before;
            }
            $arrival = $this->arrivals->of($kit, $report->base, $report->when);
            if ($report->touchesKit()) {
                $arrival->refuseUnexplained([$kit, ...$kit->modulesAt($report->pockets())], $report->sealReason, 'Restocking');
            }
            if (! $arrival->isLate) {
                LockWhole::refuseSealedAround($whole, $kit, 'seal_reason');
                $report = $report->at($report->when->notBefore($kit->last_done_at));
            }
            $movements = [...$this->out($kit, $report), ...$this->in($kit, $report)];
            [$possible, $rest] = match (true) {
                $arrival->isLate => $this->late->of($movements, self::byId($whole, $kit), $report->base, $arrival->head, $report->when, $by),
                $report->base->isBefore($arrival->head->number) => ($this->asFarAsThere)($movements, false),
                default => [$movements, []],
            };
            array_push($possible, ...$this->notFound->movements($report));
            if ($possible === []) {
                return $this->arrivals->keep($report->id, OperationKind::Restock, $kit, $by, $report->when, $rest, $report->body);
            }

            return $this->write($whole, $kit, $store, $report, $by, $possible, $rest);
        });
    }

    /** @return array<string, Kit> the kit and its modules */
    private static function byId(Kit $whole, Kit $kit): array
    {
        $kits = [];
        foreach ([$kit, ...$whole->besides($kit)] as $one) {
            $kits[$one->id] = $one;
        }

        return $kits;
    }

    /**
     * @param  list<LotMovement>  $movements
     * @param  list<UnsettledRow>  $rest
     */
    private function write(Kit $whole, Kit $kit, Store $store, RestockReport $report, User $by, array $movements, array $rest): Recorded
    {
        $seals = $report->touchesKit() ? $this->seal->opened($kit, $report->when, $report->sealReason, $report->sealSet) : [];
        foreach ($kit->modulesAt($report->pockets()) as $module) {
            array_push($seals, ...$this->seal->opened($module, $report->when, $report->sealReason, null));
        }
        $prepared = $this->staging->parts($kit, $this->said($report));
        $this->staging->follow($whole->whole(), $prepared, $movements);
        $operation = new Operation(
            $report->id,
            OperationKind::Restock,
            $by,
            $report->when->begunAt,
            $report->when->doneAt,
            $report->when->receivedAt,
            $this->organisation->dayOf($report->when->doneAt),
            $report->base,
            [$kit, ...$whole->besides($kit)],
            [$store],
            $movements,
            [...$seals, ...$prepared],
            clockCheckedAt: $report->when->clockCheckedAt,
        );
        try {
            $number = $this->record->write(
                $operation,
                $kit->retired_on === null ? function () use ($whole, $kit, $store, $report, $by): void {
                    $this->states->renew($whole, $this->organisation->dayOf($report->when->receivedAt));
                    if ($report->touchesKit()) {
                        $this->tasks->done($kit, TaskKind::Restock, $by, $this->organisation->today());
                    }
                    $this->stays->keep($kit, $store, $by, $this->organisation->today());
                } : null,
            );
        } catch (PiecesAreNotThere $short) {
            throw ValidationException::withMessages([self::field($report, $short) => $short->getMessage().' Look at the list again.']);
        }
        $this->unsettled->keep($report->id, OperationKind::Restock, $kit, $by, $report->when, $rest, $number);
        if (LateMovements::leavesDoubt($rest)) {
            $this->states->renew(Kit::locked($whole->id), $this->organisation->dayOf($report->when->receivedAt));
        }
        if ($report->roundId !== null) {
            KeepRounds::done($report->roundId, $kit->id, $number, $by, $report->when->receivedAt);
        }

        return Recorded::under($number, $report->id);
    }

    /** @return list<array{string, string, bool}> pocket, item, and whether it was staged; where that is asked for, nothing said is no */
    private function said(RestockReport $report): array
    {
        $asks = $this->organisation->asks_staging;
        $rows = array_filter($report->in, static fn (PutIn $row): bool => $asks || $row->isStaged !== null);
        $codes = $rows === [] ? [] : DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')
            ->whereIn('lots.id', array_map(static fn (PutIn $row): string => strtolower($row->lotId), $rows))->pluck('items.code', 'lots.id')->all();

        return array_values(array_map(static fn (PutIn $row): array => [
            $row->pocketId, (string) $codes[strtolower($row->lotId)], (bool) $row->isStaged,
        ], $rows));
    }

    private static function field(RestockReport $report, PiecesAreNotThere $short): string
    {
        $way = $short->at->storeId === null ? 'out' : 'in';
        foreach ($way === 'out' ? $report->out : $report->in as $index => $row) {
            if (strtolower($row->lotId) === $short->lotId) {
                return "{$way}.{$index}.quantity";
            }
        }

        return $way;
    }

    /** @return list<LotMovement> */
    private function out(Kit $kit, RestockReport $report): array
    {
        return array_map(static fn (TakenOut $row): LotMovement => new LotMovement(
            $row->lotId,
            $row->quantity,
            Location::pocket($kit->id, $row->pocketId, $row->condition),
            $row->toStore ? Location::store($report->storeId, $row->condition) : null,
            $row->toStore ? 'returned' : 'discarded',
        ), $report->out);
    }

    /** @return list<LotMovement> */
    private function in(Kit $kit, RestockReport $report): array
    {
        return array_map(static fn (PutIn $row): LotMovement => new LotMovement(
            $row->lotId,
            $row->quantity,
            Location::store($report->storeId),
            Location::pocket($kit->id, $row->pocketId),
            'restocked',
        ), $report->in);
    }
}
