<?php

declare(strict_types=1);

namespace App\Checks;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Checks\Models\Unsettled;
use App\Judging\KitStates;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Record;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Settles pieces that were unaccounted for: into the kit, which is then due for a check, back to a store, or lost. */
final class SettlePieces
{
    public const INTO_KIT = 'into_kit';

    public const TO_STORE = 'to_store';

    public const LOST = 'lost';

    public const WAYS = [self::INTO_KIT, self::TO_STORE, self::LOST];

    public function __construct(
        private readonly Record $record,
        private readonly KeepUnsettled $unsettled,
        private readonly KitStates $states,
        private readonly NearestStore $nearest,
        private readonly Organisation $organisation,
    ) {
    }

    /**
     * @param  string|null  $where  one of WAYS; null where the row has no pieces
     *
     * @throws ValidationException where it was settled already, or the row has pieces and nobody says where they are
     */
    public function __invoke(Unsettled $row, ?string $where, string $note, User $by, CarbonInterface $at): void
    {
        Transaction::run(function () use ($row, $where, $note, $by, $at): void {
            [$whole, $kit] = LockWhole::around($row->pieces_kit_id ?? $row->kit_id);
            $this->unsettled->settle($row, $note, $by, $at);
            if ($row->pieces_kit_id === null || (int) $row->pieces <= 0) {
                $this->states->mark([$kit->id]);

                return;
            }
            if ($where === null) {
                throw ValidationException::withMessages(['where' => 'Say where the pieces are: in the kit, back in the store, or lost.']);
            }
            if ($where === self::INTO_KIT && $kit->retired_on !== null) {
                throw ValidationException::withMessages(['where' => "{$kit->code} is out of service. Choose the store, or lost."]);
            }
            $store = $where === self::TO_STORE ? $this->store($row, $whole) : null;
            $condition = (string) $row->pieces_condition;
            $from = Location::unaccounted($kit->id, $condition);
            $movement = new LotMovement((string) $row->pieces_lot_id, (int) $row->pieces, $from, match ($where) {
                self::INTO_KIT => Location::pocket($kit->id, (string) $row->pieces_pocket_id, $condition),
                self::TO_STORE => Location::store((string) $store?->id, $condition),
                default => null,
            }, match ($where) {
                self::INTO_KIT => 'transferred',
                self::TO_STORE => 'returned',
                default => 'lost',
            });
            $day = $this->organisation->dayOf($at);
            $this->record->write(
                Operation::now(Str::lower((string) Str::ulid()), OperationKind::Settle, $by, $at, $day)
                    ->of([$kit, ...$whole->besides($kit)], $store === null ? [] : [$store])->with([$movement])->saying(null, $note),
                $kit->retired_on === null ? fn () => $this->states->renew($whole, $day) : null,
            );
        });
    }

    /** Finds the store that the pieces came from, else the nearest. */
    private function store(Unsettled $row, Kit $kit): Store
    {
        $from = DB::table('movements')->where('operation_number', $row->operation_number)->where('lot_id', $row->pieces_lot_id)
            ->whereNotNull('from_store_id')->value('from_store_id');
        $id = is_string($from) ? $from : ($this->nearest)($kit)?->id;

        return Store::query()->where('id', $id)->where('retired_on', null)->lockForUpdate()->first()
            ?? throw ValidationException::withMessages(['where' => 'There is no store to return the pieces to.']);
    }
}
