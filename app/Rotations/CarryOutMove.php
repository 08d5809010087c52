<?php

declare(strict_types=1);

namespace App\Rotations;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\PocketFor;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Rotations\Models\RotationMove;
use App\Staging\KeepStaging;
use App\Stock\GoodStock;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Stock\OnShelf;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Calendar\Day;
use stdClass;

/**
 * Records that pieces were moved as agreed. Where the giving kit still waits for what comes in exchange, pieces of its store stand in
 * until then; they go back when the exchange arrives. Where the store has none, the kit is judged short meanwhile.
 */
final class CarryOutMove
{
    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
        private readonly PocketFor $pocketFor,
        private readonly NearestStore $nearest,
        private readonly GoodStock $stock,
        private readonly Organisation $organisation,
        private readonly KeepStaging $staging,
    ) {
    }

    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @return int the number of the operation
     */
    public function __invoke(RotationMove $move, string $id, User $by, CarbonInterface $at): int
    {
        return Transaction::run(function () use ($move, $id, $by, $at): int {
            // Kits in one order, whoever comes from which side; then the store.
            $ids = [$move->from_kit_id, $move->to_kit_id];
            sort($ids);
            $kits = array_combine($ids, array_map(Kit::locked(...), $ids));
            [$from, $to] = [$kits[$move->from_kit_id], $kits[$move->to_kit_id]];
            $known = $this->record->known($id, OperationKind::Transfer, $by, $ids);
            if ($known !== null) {
                return $known;
            }
            $move = RotationMove::query()->where('id', $move->id)->lockForUpdate()->firstOrFail();
            $this->refuse($move, $from, $to);
            $near = ($this->nearest)($from);
            $floats = $this->floatsOf($move);
            $stores = $this->stores($near, $floats);
            $into = ($this->pocketFor)($to, $move->lot_id, 'move');
            $movements = [...$this->moved($move, $from, $to, $into), ...$this->backOf($floats, $move->quantity, $to)];
            $float = $near !== null && $this->comesLater($move) ? $this->standIn($move, $from, $near) : null;
            if ($float !== null) {
                $movements[] = $float;
            }
            $day = $this->organisation->dayOf($at);
            $this->staging->carry([...$from->whole(), ...$to->whole()], $movements);
            try {
                $number = $this->record->write(
                    Operation::now($id, OperationKind::Transfer, $by, $at, $day)
                        ->of([...$from->whole(), ...$to->whole()], $stores)->with($movements, []),
                    function () use ($from, $to, $day): void {
                        $this->states->renew($from, $day);
                        $this->states->renew($to, $day);
                    },
                );
            } catch (PiecesAreNotThere $short) {
                throw ValidationException::withMessages(['move' => $short->getMessage().' Leave this move out, or make a new plan.']);
            }
            $this->keepFloats($move, $floats, $float, $near);
            $move->update(['operation_number' => $number]);
            KeepRotations::endWhereDone($move->rotation_id, $day);

            return $number;
        });
    }

    private function refuse(RotationMove $move, Kit $from, Kit $to): void
    {
        if ($move->operation_number !== null || $move->dropped_because !== null || $move->rotation->ended_on !== null) {
            throw ValidationException::withMessages(['move' => 'This was done or left out already. Open the plan again.']);
        }
        foreach ([$from, $to] as $kit) {
            $kit->refuseRetired();
            if ($kit->build_id !== null) {
                throw ValidationException::withMessages(['move' => "{$kit->code} is being repacked. Move the pieces when that is recorded."]);
            }
        }
        ($this->pocketFor)($from, $move->lot_id, 'move');
    }

    /** @return list<LotMovement> out of the pockets in which they lie, good ones alone */
    private function moved(RotationMove $move, Kit $from, Kit $to, string $into): array
    {
        $left = $move->quantity;
        $movements = [];
        foreach ($this->lying($from, $move->lot_id) as $row) {
            $taken = min($left, (int) $row->quantity);
            if ($taken > 0) {
                $movements[] = new LotMovement(
                    $move->lot_id, $taken, Location::pocket($from->id, $row->pocket_id), Location::pocket($to->id, $into), 'transferred',
                );
                $left -= $taken;
            }
        }
        if ($left > 0) {
            throw ValidationException::withMessages([
                'move' => "{$left} of these are no longer in {$from->code}. Leave this move out, or make a new plan.",
            ]);
        }

        return $movements;
    }

    /** @return list<stdClass> */
    private function lying(Kit $kit, string $lotId): array
    {
        return array_values(DB::table('holdings')->where('kit_id', $kit->id)->where('lot_id', $lotId)->where('condition', 'good')
            ->where('quantity', '>', 0)->orderBy('id')->get(['pocket_id', 'quantity'])->all());
    }

    /** Whether pieces of the same item are still to come to the giving kit. */
    private function comesLater(RotationMove $move): bool
    {
        return DB::table('rotation_moves')->join('lots', 'lots.id', '=', 'rotation_moves.lot_id')
            ->where('rotation_id', $move->rotation_id)->where('to_kit_id', $move->from_kit_id)->where('lots.item_id', $move->lot->item_id)
            ->whereNull('operation_number')->whereNull('dropped_because')->exists();
    }

    /** Pieces of one lot of the store, those that expire last, where it has as many besides what is picked for rounds. */
    private function standIn(RotationMove $move, Kit $from, Store $store): ?LotMovement
    {
        $today = Day::of($this->organisation->today());
        $last = static fn (OnShelf $row): int => $row->lot->expires?->lastGoodDay->number ?? PHP_INT_MAX;
        $best = null;
        foreach ($this->stock->of($store, $from->id) as $row) {
            if (
                $row->lot->item === $move->lot->item->code && $row->lot->quantity >= $move->quantity && $last($row) >= $today->number
                && ($best === null || $last($row) > $last($best))
            ) {
                $best = $row;
            }
        }

        return $best === null ? null : new LotMovement(
            $best->lotId, $move->quantity, Location::store($store->id),
            Location::pocket($from->id, ($this->pocketFor)($from, $best->lotId, 'move')), 'transferred',
        );
    }

    /** @return list<stdClass> what stands in for this item in the kit that it comes to */
    private function floatsOf(RotationMove $move): array
    {
        return array_values(DB::table('rotation_floats')->join('lots', 'lots.id', '=', 'rotation_floats.lot_id')
            ->where('rotation_id', $move->rotation_id)->where('kit_id', $move->to_kit_id)->where('lots.item_id', $move->lot->item_id)
            ->where('quantity', '>', 0)->orderBy('rotation_floats.id')->lockForUpdate()
            ->get(['rotation_floats.id', 'rotation_floats.store_id', 'rotation_floats.lot_id', 'pocket_id', 'quantity'])->all());
    }

    /**
     * @param  list<stdClass>  $floats
     * @return list<LotMovement> as many as arrive, as far as they are still there
     */
    private function backOf(array $floats, int $arriving, Kit $kit): array
    {
        $movements = [];
        foreach ($floats as $float) {
            $there = (int) DB::table('holdings')->where('kit_id', $kit->id)->where('pocket_id', $float->pocket_id)->where('lot_id', $float->lot_id)
                ->where('condition', 'good')->value('quantity');
            $float->back = min($arriving, (int) $float->quantity, $there);
            $arriving -= $float->back;
            if ($float->back > 0) {
                $movements[] = new LotMovement(
                    $float->lot_id, $float->back, Location::pocket($kit->id, $float->pocket_id), Location::store($float->store_id), 'transferred',
                );
            }
        }

        return $movements;
    }

    /**
     * @param  list<stdClass>  $floats
     * @return list<Store> held, by id
     */
    private function stores(?Store $near, array $floats): array
    {
        $ids = array_values(array_unique(array_filter([$near?->id, ...array_map(static fn (stdClass $one): string => $one->store_id, $floats)])));

        return array_values(Store::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get()->all());
    }

    /** @param  list<stdClass>  $floats */
    private function keepFloats(RotationMove $move, array $floats, ?LotMovement $float, ?Store $near): void
    {
        foreach ($floats as $one) {
            DB::table('rotation_floats')->where('id', $one->id)->decrement('quantity', $one->back);
        }
        if ($float !== null && $near !== null) {
            DB::table('rotation_floats')->insert([
                'rotation_id' => $move->rotation_id, 'kit_id' => $move->from_kit_id, 'store_id' => $near->id, 'lot_id' => $float->lotId,
                'pocket_id' => $float->to?->pocketId, 'quantity' => $float->quantity,
            ]);
        }
    }
}
