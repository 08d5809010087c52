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
     * Within the transaction that records them, before the kit is judged.
     *
     * @param  list<Kit>  $kits  held: those that the parts are of
     * @param  list<Preparation>  $parts
     */
    public function follow(array $kits, array $parts): void
    {
        $ids = DB::table('items')->whereIn('code', array_map(static fn (Preparation $part): string => $part->itemCode, $parts))
            ->pluck('id', 'code')->all();
        foreach ($parts as $part) {
            $key = ['kit_id' => $part->kitId, 'pocket_id' => $part->pocketId, 'item_id' => $ids[$part->itemCode]];
            $part->isDone
                ? DB::table('unstaged')->where($key)->delete()
                : DB::table('unstaged')->upsert([[...$key, 'pocket' => $part->pocket, 'task' => $part->task]], array_keys($key), ['pocket', 'task']);
        }
        $touched = array_flip(array_map(static fn (Preparation $part): string => $part->kitId, $parts));
        foreach ($kits as $kit) {
            if (isset($touched[$kit->id])) {
                $count = DB::table('unstaged')->where('kit_id', $kit->id)->count();
                Kit::query()->where('id', $kit->id)->update(['not_staged' => $count]);
                $kit->setAttribute('not_staged', $count);
                $kit->syncOriginalAttribute('not_staged');
            }
        }
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
