<?php

declare(strict_types=1);

namespace App\Staging;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Names;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\Preparation;
use App\Ledger\Record;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;

/** What is done to items before they are packed: recorded with what is put in, or afterwards. */
final class KeepStaging
{
    public function __construct(
        private readonly Record $record,
        private readonly KitPlans $plans,
        private readonly KitStates $states,
        private readonly Organisation $organisation,
    ) {
    }

    /**
     * @param  list<array{string, string, bool}>  $said  pocket (of a module with the module's id before it), code of the item, whether it is done
     * @return list<Preparation> of items that ask for something to be done
     */
    public function parts(Kit $kit, array $said): array
    {
        $codes = array_map(static fn (array $one): string => $one[1], $said);
        $tasks = $codes === [] ? collect() : DB::table('items')->whereIn('code', $codes)->whereNotNull('staging')
            ->get(['code', 'name', 'staging'])->keyBy('code');
        $pockets = $this->plans->forKit($kit)->pockets;
        $parts = [];
        foreach ($said as [$pocket, $code, $isDone]) {
            $item = $tasks->get($code);
            if ($item !== null && isset($pockets[$pocket])) {
                $at = Location::pocket($kit->id, $pocket);
                $parts[] = new Preparation(
                    (string) $at->kitId, (string) $at->pocketId, $pockets[$pocket]->name, $code, $item->name, $item->staging, $isDone,
                );
            }
        }

        return $parts;
    }

    /**
     * Within the transaction that records them, before the kit is judged. What was said not to be staged stays so until somebody says that
     * it is: what goes in staged beside it changes nothing of that.
     *
     * @param  list<Kit>  $kits  held: those that the parts are of
     * @param  list<Preparation>  $parts
     * @param  list<LotMovement>|null  $movements  of the same operation, not yet carried out; null: all pieces of the items are meant
     */
    public function follow(array $kits, array $parts, ?array $movements = null): void
    {
        $ids = DB::table('items')->whereIn('code', array_map(static fn (Preparation $part): string => $part->itemCode, $parts))
            ->pluck('id', 'code')->all();
        foreach ($parts as $part) {
            if ($movements === null || ! self::stays($part->kitId, $ids[$part->itemCode], $movements)) {
                DB::table('unstaged')->where('kit_id', $part->kitId)->where('item_id', $ids[$part->itemCode])->delete();
            }
        }
        self::keep(array_map(static fn (Preparation $part): array => [
            'kit_id' => $part->kitId, 'pocket_id' => $part->pocketId, 'item_id' => $ids[$part->itemCode], 'pocket' => $part->pocket,
            'task' => $part->task,
        ], array_values(array_filter($parts, static fn (Preparation $part): bool => ! $part->isDone))));
        self::count($kits);
    }

    /**
     * What comes to a kit from another one is not staged there where it was not here; nor is what comes from a store and nobody said it of.
     * Within the transaction that records the movements, before they are carried out.
     *
     * @param  list<Kit>  $kits  held: those that pieces come to
     * @param  list<LotMovement>  $movements
     */
    public function carry(array $kits, array $movements): void
    {
        $coming = array_values(array_filter(
            $movements,
            static fn (LotMovement $one): bool => $one->from !== null && $one->to?->kitId !== null && $one->from->kitId !== $one->to->kitId,
        ));
        if ($coming === []) {
            return;
        }
        $names = new Names;
        $names->read($coming);
        $items = DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->whereNotNull('staging')
            ->whereIn('lots.id', array_map(static fn (LotMovement $one): string => $one->lotId, $coming))
            ->get(['lots.id as lot_id', 'items.id', 'staging'])->keyBy('lot_id');
        $rows = [];
        foreach ($coming as $one) {
            $item = $items->get($one->lotId);
            $giver = $one->from?->kitId;
            $isStaged = $item === null
                || $giver !== null && DB::table('unstaged')->where('kit_id', $giver)->where('item_id', $item->id)->doesntExist();
            if (! $isStaged) {
                $rows[] = [
                    'kit_id' => (string) $one->to?->kitId, 'pocket_id' => (string) $one->to?->pocketId, 'item_id' => $item->id,
                    'pocket' => (string) $names->pocket($one->to?->pocketId), 'task' => $item->staging,
                ];
            }
        }
        self::keep($rows);
        self::count($kits);
    }

    /** @param  list<array<string, string>>  $rows */
    private static function keep(array $rows): void
    {
        DB::table('unstaged')->upsert($rows, ['kit_id', 'pocket_id', 'item_id'], ['pocket', 'task']);
    }

    /** @param  list<Kit>  $kits */
    private static function count(array $kits): void
    {
        foreach ($kits as $kit) {
            $count = DB::table('unstaged')->where('kit_id', $kit->id)->count();
            if ($count !== $kit->not_staged) {
                Kit::query()->where('id', $kit->id)->update(['not_staged' => $count]);
                $kit->setAttribute('not_staged', $count);
                $kit->syncOriginalAttribute('not_staged');
            }
        }
    }

    /**
     * Whether pieces of the item were in the kit before, and stay there.
     *
     * @param  list<LotMovement>  $movements
     */
    private static function stays(string $kitId, string $itemId, array $movements): bool
    {
        $left = array_map(intval(...), DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')
            ->where('holdings.kit_id', $kitId)->where('lots.item_id', $itemId)
            ->groupBy('lots.id')->selectRaw('lots.id, SUM(holdings.quantity) AS pieces')->pluck('pieces', 'id')->all());
        foreach ($movements as $movement) {
            if ($movement->from?->kitId === $kitId && isset($left[$movement->lotId])) {
                $left[$movement->lotId] -= $movement->quantity;
            }
        }

        return array_sum($left) > 0;
    }

    /**
     * An item that lies in the kit unstaged is staged now, wherever in it.
     *
     * @param  string  $id  a ULID made by the page, so that it counts once
     */
    public function done(Kit $kit, string $id, string $item, User $by, CarbonInterface $at): void
    {
        Transaction::run(function () use ($kit, $id, $item, $by, $at): void {
            [$whole, $kit] = LockWhole::around($kit->id);
            if ($this->record->known($id, OperationKind::Prepare, $by, [$kit->id]) !== null) {
                return;
            }
            $kit->refuseRetired();
            $kits = $whole->whole();
            $rows = DB::table('unstaged')->join('items', 'items.id', '=', 'unstaged.item_id')->where('items.code', $item)
                ->whereIn('kit_id', array_map(static fn (Kit $one): string => $one->id, $kits))
                ->get(['kit_id', 'pocket_id', 'pocket', 'items.name', 'task']);
            $parts = array_values($rows->map(static fn (object $row): Preparation => new Preparation(
                $row->kit_id, $row->pocket_id, $row->pocket, $item, $row->name, $row->task, true,
            ))->all());
            if ($parts === []) {
                return;
            }
            $day = $this->organisation->dayOf($at);
            $this->follow($kits, $parts);
            $this->record->write(
                Operation::now($id, OperationKind::Prepare, $by, $at, $day)->of($kits)->with([], $parts),
                fn () => $this->states->renew($whole, $day),
            );
        });
    }
}
