<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Judging\Plans;
use App\Ledger\Entry;
use App\Ledger\Ledger;
use App\Ledger\Spot;
use App\Models\Design;
use App\Models\Kit;
use App\Models\KitChange;
use App\Models\Leaf;
use App\Models\Place;
use App\Models\Store;
use App\Models\User;
use App\Planning\Choices;
use App\Planning\Wanted;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Moves a kit, puts modules into it, or takes it out of use; each is recorded in its history, and the kit is judged again. */
final class ChangeKit
{
    public function __construct(
        private readonly Ledger $ledger,
        private readonly Plans $plans,
        private readonly KitStates $states,
        private readonly Choices $choices,
    ) {
    }

    public function move(Kit $kit, Place $to, User $by, CarbonInterface $at, string $day): void
    {
        DB::transaction(function () use ($kit, $to, $by, $at, $day): void {
            $kit = $this->lock($kit);
            $from = $kit->place->path;
            $kit->place_id = $to->id;
            $kit->save();
            $kit->setRelation('place', $to);
            self::record($kit, 'moved', "Moved from {$from} to {$to->path}", $by, $at);
            $this->states->renew($kit, $day);
        });
    }

    /** @param  list<string>  $modules */
    public function upgrade(Kit $kit, array $modules, User $by, CarbonInterface $at, string $day): void
    {
        DB::transaction(function () use ($kit, $modules, $by, $at, $day): void {
            $kit = $this->lock($kit);
            foreach ($modules as $module) {
                $choice = $this->choices->of($module);
                if ($choice === null) {
                    throw ValidationException::withMessages(['modules' => 'No list is chosen for the '.lcfirst(Wanted::title($module)).'. Choose one under Assess, lists of the plan.']);
                }
                if ($kit->modules()->where('module', $module)->exists()) {
                    continue;
                }
                $kit->modules()->create(['module' => $module, 'list_id' => $choice->list_id]);
                $this->makePouch($kit->design, $module, $choice->list_id);
                self::record($kit, 'upgraded', Wanted::title($module)." put in: {$choice->list->title}, edition {$choice->list->edition}", $by, $at);
            }
            $this->plans->forget();
            $this->states->renew($kit, $day);
        });
    }

    /** What is good goes to the store, the rest is discarded; nothing of it is lost to the ledger. */
    public function retire(Kit $kit, ?string $reason, User $by, CarbonInterface $at, string $day): void
    {
        DB::transaction(function () use ($kit, $reason, $by, $at, $day): void {
            $kit = $this->lock($kit);
            $store = Store::query()->orderBy('name')->first();
            $entries = [];
            foreach ($kit->holdings()->with('lot')->get() as $held) {
                $isGood = $held->condition === 'good' && ($held->lot->good_until === null || $held->lot->good_until >= $day) && $store !== null;
                $entries[] = new Entry($held->lot_id, $held->quantity, Spot::pocket($kit->id, (string) $held->pocket_id, $held->condition), $isGood && $store !== null ? Spot::store($store->id) : null, $isGood ? 'returned' : 'discarded');
            }
            $this->ledger->record($entries, $by, $at, null, Str::lower((string) Str::ulid()));
            $kit->refresh();
            $kit->retired_on = $day;
            $kit->save();
            self::record($kit, 'retired', 'Taken out of use'.($reason === null ? '' : ": {$reason}"), $by, $at);
            $this->states->drop($kit);
        });
    }

    public static function record(Kit $kit, string $kind, string $text, User $by, CarbonInterface $at): void
    {
        KitChange::query()->create(['kit_id' => $kit->id, 'kind' => $kind, 'text' => mb_substr($text, 0, 400), 'user_id' => $by->id, 'changed_at' => $at->copy()->utc()->format('Y-m-d H:i:s')]);
    }

    private function lock(Kit $kit): Kit
    {
        $kit = Kit::query()->where('id', $kit->id)->lockForUpdate()->firstOrFail();
        $kit->refuseRetired();

        return $kit;
    }

    /** A pouch on a leaf of its own, in which every line of the module lives; kits of the design without the module do not show it. */
    private function makePouch(Design $design, string $module, string $listId): void
    {
        if (DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')->where('leaves.design_id', $design->id)->where('pockets.module_list_id', $listId)->exists()) {
            return;
        }
        $leaf = Leaf::query()->firstOrCreate(['design_id' => $design->id, 'name' => 'Modules'], ['position' => (int) $design->leaves()->max('position') + 1]);
        $pocket = $leaf->pockets()->create(['name' => Wanted::title($module), 'row' => (int) $leaf->pockets()->max('row') + 1, 'column' => 1, 'row_span' => 1, 'column_span' => 2, 'module_list_id' => $listId]);
        $position = (int) $design->homes()->max('position');
        foreach (DB::table('lines')->where('list_id', $listId)->orderBy('position')->pluck('id') as $line) {
            $design->homes()->create(['line_id' => $line, 'pocket_id' => $pocket->id, 'position' => ++$position]);
        }
    }
}
