<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Parts\CheckOutcome;
use App\Ledger\Parts\CheckRow;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Parts\KitNamed;
use App\Ledger\Parts\PartRow;
use App\Ledger\Parts\SealEvent;
use App\Ledger\Parts\StoreNamed;
use App\Support\DoneAtTheSameMoment;
use App\Support\OtherContents;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/**
 * Writes operations, each whole and within the transaction of whoever does it, and keeps what follows from them:
 * what is where, and the facts of kits.
 *
 * Each operation's hash covers the one before it. The end of the record is locked last, after all that takes time, and let go
 * with the commit: while it is held a dozen statements run at the most.
 */
final class Record
{
    private const CHUNK = 500;

    public function __construct(
        private readonly Keys $keys,
        private readonly Holdings $holdings,
        private readonly KitHistory $history,
        private readonly CheckpointFiles $checkpoints,
        private readonly Organisation $organisation,
        private readonly SentContents $sent,
    ) {
    }

    /**
     * The number of an operation that was recorded under this id before.
     *
     * @param  list<string>  $kitIds
     *
     * @throws OperationIdIsTaken where it is of another kind, for other kits or by somebody else
     * @throws OtherContents where other contents were sent under this id
     */
    public function known(string $id, OperationKind $kind, ?User $by, array $kitIds): ?int
    {
        $known = DB::table('operations')->where('id', $id)->first(['number', 'kind', 'user_id']);
        if ($known === null) {
            return null;
        }
        $kits = DB::table('operation_kits')->where('operation_number', $known->number)->pluck('kit_id')->all();
        if ($known->kind !== $kind->value || $known->user_id !== $by?->id || array_diff($kitIds, $kits) !== []) {
            throw new OperationIdIsTaken;
        }
        $this->sent->refuseOthers($id);

        return (int) $known->number;
    }

    /** @throws BaseIsAhead where somebody claims to have seen more than there is */
    public function refuseAhead(?Base $base, Head $head): void
    {
        if ($base !== null && ($base->epoch > $head->epoch || $base->epoch === $head->epoch && $base->number > $head->number)) {
            throw new BaseIsAhead($base, $head);
        }
    }

    /**
     * @param  (callable(): mixed)|null  $keepState  judges the kits and keeps their states: what is where and the kits' facts are as they will be
     * @return int its number
     *
     * @throws PiecesAreNotThere where more is taken from a place than is there; nothing is recorded then
     * @throws DoneAtTheSameMoment where the same id was recorded at the same moment
     */
    public function write(Operation $operation, ?callable $keepState = null): int
    {
        $operation->names->read($operation->movements);
        $rows = $this->rows($operation);
        $this->refuseForeign($operation, $rows);
        $operation->refusePart();
        $this->holdings->apply($operation->movements);
        $facts = $this->factsBefore($operation);
        $restsOnLost = $operation->kind === OperationKind::FullCheck && LostTail::concerns($operation->base);
        $this->fillFacts($operation, $facts, 0, $restsOnLost);
        if ($keepState !== null) {
            $keepState();
        }

        $this->sent->keep($operation->id);
        $head = Head::lock();
        $number = $head->number + 1;
        $epoch = $head->epoch + ($operation->kind === OperationKind::Restore ? 1 : 0);
        $own = $this->own($operation, $number, $epoch);
        $hash = (string) $this->keys->hash($this->keys->current(), Canonical::text($head->hash, $own, $rows));
        try {
            DB::table('operations')->insert([...$own, 'hash' => $hash]);
        } catch (UniqueConstraintViolationException) {
            throw new DoneAtTheSameMoment;
        }
        foreach ($rows as $table => $parts) {
            foreach (array_chunk($parts, self::CHUNK) as $chunk) {
                DB::table($table)->insert(array_map(static fn (array $row): array => ['operation_number' => $number, ...$row], $chunk));
            }
        }
        $this->fillFacts($operation, $facts, $number, $restsOnLost);
        $this->keepKits($operation, $number);
        KitStates::restOn(array_map(static fn (Kit $kit): string => $kit->id, $operation->kits), $number, $keepState !== null);
        (new Head($epoch, $number, $hash))->move();
        if (! $this->checkpoints->has($this->organisation->today())) {
            DB::afterCommit(fn () => $this->checkpoints->writeIfPossible(Head::read(), $this->organisation->today()));
        }

        return $number;
    }

    /** @return array<string, int|string|null> the operation's own row, but for its hash */
    private function own(Operation $operation, int $number, int $epoch): array
    {
        return [
            'number' => $number,
            'epoch' => $epoch,
            'id' => $operation->id,
            'kind' => $operation->kind->value,
            'user_id' => $operation->by?->id,
            'user_name' => $operation->by?->name,
            'witness_id' => null,
            'base_epoch' => $operation->base?->epoch,
            'base_number' => $operation->base?->number,
            'begun_at' => KitHistory::instant($operation->begunAt),
            'done_at' => KitHistory::instant($operation->doneAt),
            'received_at' => KitHistory::instant($operation->receivedAt),
            'clock_checked_at' => $operation->clockCheckedAt === null ? null : KitHistory::instant($operation->clockCheckedAt),
            'day' => $operation->day,
            'signed' => $operation->signed,
            'note' => $operation->note,
            'signed_because' => $operation->signedBecause,
            'key_id' => $this->keys->current(),
        ];
    }

    /** @return array<string, list<array<string, bool|int|string|null>>> rows by table, in the order in which they are covered */
    private function rows(Operation $operation): array
    {
        $rows = [];
        $parts = [
            ...array_map(static fn (Kit $kit): PartRow => new KitNamed($kit->id, $kit->code, $kit->name, $kit->place->path), $operation->kits),
            ...array_map(static fn ($store): PartRow => new StoreNamed($store->id, $store->name), $operation->stores),
            ...$operation->parts,
        ];
        foreach ($operation->movements as $movement) {
            $lot = $operation->names->lot($movement->lotId);
            $rows[Part::Movements->value][] = [
                'position' => count($rows[Part::Movements->value] ?? []),
                'lot_id' => $movement->lotId,
                'item_code' => $lot->itemCode,
                'item_name' => $lot->itemName,
                'lot_number' => $lot->number,
                'expires' => $lot->expires,
                'quantity' => $movement->quantity,
                'from_kit_id' => $movement->from?->kitId,
                'from_pocket_id' => $movement->from?->pocketId,
                'from_pocket' => $operation->names->pocket($movement->from?->pocketId),
                'from_store_id' => $movement->from?->storeId,
                'from_condition' => $movement->from?->condition,
                'to_kit_id' => $movement->to?->kitId,
                'to_pocket_id' => $movement->to?->pocketId,
                'to_pocket' => $operation->names->pocket($movement->to?->pocketId),
                'to_store_id' => $movement->to?->storeId,
                'to_condition' => $movement->to?->condition,
                'reason' => $movement->reason,
            ];
        }
        foreach ($parts as $part) {
            $table = $part->part()->value;
            $rows[$table][] = ['position' => count($rows[$table] ?? []), ...$part->columns()];
        }

        return $rows;
    }

    /** @param  array<string, list<array<string, bool|int|string|null>>>  $rows */
    private function refuseForeign(Operation $operation, array $rows): void
    {
        $kind = $operation->kind->kind();
        $allowed = array_map(static fn (Part $part): string => $part->value, [Part::Kits, Part::Stores, ...$kind->parts()]);
        foreach (array_diff(array_keys($rows), $allowed) as $table) {
            throw new DoesNotBelong("An operation of the kind {$operation->kind->value} has no {$table}.");
        }
        foreach ($rows[Part::Movements->value] ?? [] as $movement) {
            $way = Way::of($movement);
            if (! in_array($way, $kind->ways(), true)) {
                throw new DoesNotBelong("In an operation of the kind {$operation->kind->value} pieces do not go \"{$way}\".");
            }
        }
    }

    /**
     * What each kit's facts are worked out from: those there are, or its earlier events where this operation was not done last.
     *
     * @return array<string, KitFacts|list<KitEvent>> by kit
     */
    private function factsBefore(Operation $operation): array
    {
        $facts = $this->history->toFold($operation);
        foreach ($operation->kits as $kit) {
            $facts[$kit->id] ??= KitFacts::of($kit);
        }

        return $facts;
    }

    /** @param  array<string, KitFacts|list<KitEvent>>  $before */
    private function fillFacts(Operation $operation, array $before, int $number, bool $restsOnLost): void
    {
        $doneAt = KitHistory::instant($operation->doneAt);
        $byKit = self::partsByKit($operation);
        foreach ($operation->kits as $kit) {
            $event = self::event($kit, $operation, $byKit[$kit->id] ?? [], $number, $restsOnLost);
            $facts = $before[$kit->id];
            $kit->forceFill([
                ...($facts instanceof KitFacts ? $facts->then($event) : KitFacts::after([...$facts, $event]))->columns(),
                'last_operation' => $number,
                'last_done_at' => max($kit->last_done_at ?? $doneAt, $doneAt),
            ]);
        }
    }

    /** Kits of which only the last operation changed are kept together: a design may have thousands. */
    private function keepKits(Operation $operation, int $number): void
    {
        $alike = [];
        foreach ($operation->kits as $kit) {
            if ($kit->isDirty(KitFacts::COLUMNS)) {
                $kit->save();
            } else {
                $alike[] = $kit->id;
                $kit->syncOriginal();
            }
        }
        $doneAt = KitHistory::instant($operation->doneAt);
        foreach (array_chunk($alike, 1000) as $ids) {
            DB::table('kits')
                ->whereIn('id', $ids)
                ->update(['last_operation' => $number, 'last_done_at' => DB::raw("GREATEST(COALESCE(last_done_at, '{$doneAt}'), '{$doneAt}')")]);
        }
    }

    /** @return array<string, list<PartRow>> what names a kit, and what belongs to the check of one */
    private static function partsByKit(Operation $operation): array
    {
        $byKit = [];
        foreach ($operation->parts as $part) {
            $kit = match (true) {
                $part instanceof CheckRow, $part instanceof CheckOutcome, $part instanceof SealEvent, $part instanceof KitChanged => $part->kitId,
                default => null,
            };
            if ($kit !== null) {
                $byKit[$kit][] = $part;
            }
        }

        return $byKit;
    }

    /** @param  list<PartRow>  $parts */
    private static function event(Kit $kit, Operation $operation, array $parts, int $number, bool $restsOnLost): KitEvent
    {
        $of = static fn (string $class): array => array_values(array_filter($parts, static fn (PartRow $part): bool => $part instanceof $class));
        /** @var list<CheckOutcome> $checks */
        $checks = $of(CheckOutcome::class);
        /** @var list<CheckRow> $rows */
        $rows = $of(CheckRow::class);
        /** @var list<SealEvent> $seals */
        $seals = $of(SealEvent::class);
        /** @var list<KitChanged> $changes */
        $changes = $of(KitChanged::class);
        $leavesDoubt = array_filter($rows, static fn (CheckRow $row): bool => $row->inDoubt) !== [];

        return new KitEvent(
            $number,
            KitHistory::instant($operation->doneAt),
            $operation->day,
            $operation->kind,
            ($checks[0] ?? null)?->standing,
            $leavesDoubt,
            $operation->usesFrom($kit),
            $seals,
            $changes,
            $operation->asksCheckOf($kit),
            $restsOnLost,
        );
    }
}
