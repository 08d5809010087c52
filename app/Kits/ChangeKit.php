<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Assess\Choices;
use App\Assess\Wanted;
use App\Designs\Models\Design;
use App\Designs\Models\Leaf;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Kit\Condition;

/** Moves a kit, renames it, puts modules into it, or takes it out of service; each is an operation of its own, and the kit is judged again. */
final class ChangeKit
{
    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
        private readonly NearestStore $nearest,
        private readonly Choices $choices,
    ) {
    }

    public function move(Kit $kit, Place $to, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $to, $by, $at, $day): void {
            $kit = $this->lock($kit);
            $change = new KitChanged($kit->id, 'place', $kit->place_id, $to->id, $kit->place->path, $to->path);
            $kit->setRelation('place', $to);
            $this->write($kit, OperationKind::Move, [], [$change], $by, $at, $day);
        });
    }

    /** What a kit is called, and who may use what is in it where nobody is posted to its place. */
    public function describe(Kit $kit, string $name, string $scope, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $name, $scope, $by, $at, $day): void {
            $kit = $this->lock($kit);
            $changes = [
                ...($name === $kit->name ? [] : [new KitChanged($kit->id, 'name', $kit->name, $name)]),
                ...($scope === $kit->scope->value ? [] : [new KitChanged($kit->id, 'scope', $kit->scope->value, $scope)]),
            ];
            if ($changes !== []) {
                $this->write($kit, OperationKind::Change, [], $changes, $by, $at, $day);
            }
        });
    }

    /** @param  list<string>  $modules */
    public function upgrade(Kit $kit, array $modules, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $modules, $by, $at, $day): void {
            $kit = $this->lock($kit);
            $changes = [];
            foreach ($modules as $module) {
                $choice = $this->choices->of($module);
                if ($choice === null) {
                    throw ValidationException::withMessages([
                        'modules' => 'No list is chosen for the '.lcfirst(Wanted::title($module)).'. Choose one under Assess, lists of the plan.',
                    ]);
                }
                if ($kit->modules()->where('module', $module)->exists()) {
                    continue;
                }
                $kit->modules()->create(['module' => $module, 'list_id' => $choice->list_id]);
                $this->makePouch($kit->design, $module, $choice->list_id);
                $changes[] = new KitChanged(
                    $kit->id,
                    'module',
                    null,
                    $choice->list_id,
                    null,
                    Wanted::title($module).": {$choice->list->title}, edition {$choice->list->edition}",
                );
            }
            $this->states->beginChange();
            if ($changes === []) {
                $this->states->renew($kit, $day);
            } else {
                $this->write($kit, OperationKind::ModuleIn, [], $changes, $by, $at, $day);
            }
        });
    }

    /** What is good goes to the store, the rest is disposed of; nothing of it is lost to the record. */
    public function retire(Kit $kit, ?string $reason, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $reason, $by, $at, $day): void {
            $kit = $this->lock($kit);
            $near = ($this->nearest)($kit);
            $store = $near === null ? null : Store::query()->where('id', $near->id)->lockForUpdate()->firstOrFail();
            $movements = [];
            foreach ($kit->holdings()->with('lot')->get() as $held) {
                $isInDate = $held->lot->good_until === null || $held->lot->good_until >= $day;
                $isGood = $held->condition === Condition::Good && $isInDate && $store !== null;
                $movements[] = new LotMovement(
                    $held->lot_id, $held->quantity, Location::pocket($kit->id, (string) $held->pocket_id, $held->condition->value),
                    $isGood && $store !== null ? Location::store($store->id) : null, $isGood ? 'returned' : 'discarded',
                );
            }
            $change = new KitChanged($kit->id, 'retired', null, $day, null, $reason);
            $this->record->write(
                self::operation(OperationKind::Retire, $by, $at, $day)
                    ->of([$kit], $store === null ? [] : [$store])
                    ->with($movements, [$change]),
            );
            $this->states->drop($kit);
        });
    }

    /**
     * @param  list<LotMovement>  $movements
     * @param  list<KitChanged>  $changes
     */
    private function write(Kit $kit, OperationKind $kind, array $movements, array $changes, User $by, CarbonInterface $at, string $day): void
    {
        $this->record->write(
            self::operation($kind, $by, $at, $day)
                ->of([$kit])
                ->with($movements, $changes),
            fn () => $this->states->renew($kit, $day),
        );
    }

    private static function operation(OperationKind $kind, User $by, CarbonInterface $at, string $day): Operation
    {
        return Operation::now(Str::lower((string) Str::ulid()), $kind, $by, $at, $day);
    }

    private function lock(Kit $kit): Kit
    {
        $kit = Kit::locked($kit->id);
        $kit->refuseRetired();

        return $kit;
    }

    /** A pouch on a leaf of its own, in which every line of the module lives; kits of the design without the module do not show it. */
    private function makePouch(Design $design, string $module, string $listId): void
    {
        if (
            DB::table('pockets')
                ->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')
                ->where('leaves.design_id', $design->id)
                ->where('pockets.module_list_id', $listId)
                ->exists()
        ) {
            return;
        }
        $leaf = Leaf::query()->firstOrCreate(
            ['design_id' => $design->id, 'name' => 'Modules'],
            ['position' => (int) $design->leaves()->max('position') + 1],
        );
        $pocket = $leaf->pockets()->create([
            'name' => Wanted::title($module),
            'row' => (int) $leaf->pockets()->max('row') + 1,
            'column' => 1,
            'row_span' => 1,
            'column_span' => 2,
            'module_list_id' => $listId,
        ]);
        $position = (int) $design->homes()->max('position');
        foreach (DB::table('lines')->where('list_id', $listId)->orderBy('position')->pluck('id') as $line) {
            $design->homes()->create(['line_id' => $line, 'pocket_id' => $pocket->id, 'position' => ++$position]);
        }
    }
}
