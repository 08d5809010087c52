<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Designs\Models\Design;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Judging\PlanPart;
use App\Judging\PlanSlot;
use App\Kits\Models\Kit;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/**
 * Makes a module for a kit, puts one in or takes it out: with all that is in it, its seal and its history. The design of the kit stays as
 * it is; a module that finds no slot there is carried beside what the design has.
 */
final class MoveModule
{
    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
        private readonly KitPlans $plans,
    ) {
    }

    /** A new, empty module of that design in a kit: it is filled by restocking the kit. */
    public function make(Kit $kit, Design $design, User $by, CarbonInterface $at, string $day): Kit
    {
        return Transaction::run(function () use ($kit, $design, $by, $at, $day): Kit {
            $kit = $this->lockKit($kit->id);
            $edition = $design->latest ?? throw ValidationException::withMessages(['modules' => "No edition of {$design->name} is published yet."]);
            $module = new Kit([
                'id' => Str::lower((string) Str::ulid()),
                'code' => self::freeCode($kit),
                'name' => $design->name,
                'design_edition_id' => $edition->id,
                'place_id' => $kit->place_id,
                'scope' => $kit->scope,
                'seal' => 'none',
                'last_operation' => 0,
            ]);
            $module->save();
            $module->setRelation('place', $kit->place);
            $slot = $this->slotFor($kit, $design->id);
            $module->forceFill(['parent_kit_id' => $kit->id, 'slot_id' => $slot?->id]);
            $this->write(OperationKind::ModuleIn, $kit, [$module], [
                new KitChanged($module->id, 'code', null, $module->code),
                new KitChanged($module->id, 'name', null, $module->name),
                new KitChanged($module->id, 'edition', null, $edition->id, null, $edition->name()),
                new KitChanged($module->id, 'place', null, $kit->place_id, null, $kit->place->path),
                new KitChanged($module->id, 'scope', null, $kit->scope->value),
                ...self::into($module, $kit, $slot),
            ], $by, $at, $day);

            return $module;
        });
    }

    public function putIn(Kit $module, Kit $kit, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($module, $kit, $by, $at, $day): void {
            if ($module->id === $kit->id) {
                throw ValidationException::withMessages(['module' => 'A kit is no module of itself.']);
            }
            // Both in the order of their ids, so that two who swap modules do not wait for each other.
            [$first, $second] = strcmp($module->id, $kit->id) < 0 ? [$module->id, $kit->id] : [$kit->id, $module->id];
            $locked = [$first => Kit::locked($first), $second => Kit::locked($second)];
            [$module, $kit] = [$locked[$module->id], $this->fit($locked[$kit->id])];
            $module->refuseRetired();
            if ($module->parent_kit_id === $kit->id) {
                return;
            }
            if ($module->parent_kit_id !== null) {
                throw ValidationException::withMessages(['module' => "{$module->code} is in another kit. Remove it from there first."]);
            }
            if ($module->modules->isNotEmpty()) {
                throw ValidationException::withMessages(['module' => "{$module->code} has modules in it: it is a kit, not a module."]);
            }
            $slot = $this->slotFor($kit, $module->edition->design_id);
            if ($slot === null && $module->edition->design->serves === null) {
                throw ValidationException::withMessages([
                    'module' => "{$kit->code} has no free slot for {$module->edition->design->name}, and it is no module that is carried beside.",
                ]);
            }
            $changes = self::into($module, $kit, $slot);
            if ($module->place_id !== $kit->place_id) {
                $changes[] = new KitChanged($module->id, 'place', $module->place_id, $kit->place_id, $module->place->path, $kit->place->path);
            }
            $module->forceFill(['parent_kit_id' => $kit->id, 'slot_id' => $slot?->id]);
            $this->states->drop($module);
            $this->write(OperationKind::ModuleIn, $kit, [$module], $changes, $by, $at, $day);
        });
    }

    public function takeOut(Kit $module, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($module, $by, $at, $day): void {
            [$kit, $module] = LockWhole::around($module->id);
            if ($kit->id === $module->id) {
                throw ValidationException::withMessages(['module' => "{$module->code} is in no kit."]);
            }
            $kit->refuseRetired();
            self::refuseSealed($kit);
            $kit->setRelation('modules', $kit->modules->reject(static fn (Kit $one): bool => $one->id === $module->id)->values());
            $module->setRelation('modules', $module->modules()->get());
            $changes = [
                new KitChanged($kit->id, 'module', $module->id, null, self::named($module)),
                new KitChanged($module->id, 'parent', $kit->id, null, self::named($kit)),
                ...($module->slot_id === null ? [] : [new KitChanged($module->id, 'slot', $module->slot_id, null)]),
            ];
            $this->record->write(
                $this->operation(OperationKind::ModuleOut, $by, $at, $day)->of([...$kit->whole(), $module])->with([], $changes),
                function () use ($kit, $module, $day): void {
                    $this->states->renew($kit, $day);
                    $this->states->renew($module, $day);
                },
            );
        });
    }

    /** @return list<KitChanged> */
    private static function into(Kit $module, Kit $kit, ?PlanSlot $slot): array
    {
        return [
            new KitChanged($kit->id, 'module', null, $module->id, null, self::named($module)),
            new KitChanged($module->id, 'parent', null, $kit->id, null, self::named($kit)),
            ...($slot === null ? [] : [new KitChanged($module->id, 'slot', null, $slot->id, null, $slot->name)]),
        ];
    }

    private static function named(Kit $kit): string
    {
        return "{$kit->code} {$kit->name}";
    }

    /**
     * @param  list<Kit>  $entering
     * @param  list<KitChanged>  $changes
     */
    private function write(OperationKind $kind, Kit $kit, array $entering, array $changes, User $by, CarbonInterface $at, string $day): void
    {
        $kit->setRelation('modules', $kit->modules->concat($entering)->sortBy('code')->values());
        $this->record->write(
            $this->operation($kind, $by, $at, $day)->of($kit->whole())->with([], $changes),
            fn () => $this->states->renew($kit, $day),
        );
    }

    private function operation(OperationKind $kind, User $by, CarbonInterface $at, string $day): Operation
    {
        return Operation::now(Str::lower((string) Str::ulid()), $kind, $by, $at, $day);
    }

    private function lockKit(string $id): Kit
    {
        return $this->fit(Kit::locked($id));
    }

    private function fit(Kit $kit): Kit
    {
        $kit->refuseRetired();
        self::refuseSealed($kit);
        if ($kit->parent_kit_id !== null) {
            throw ValidationException::withMessages(['kit' => "{$kit->code} is a module in another kit, and has none of its own."]);
        }

        return $kit;
    }

    /** Who reaches a module opens the kit: its seal does not vouch for what is in it any more. */
    private static function refuseSealed(Kit $kit): void
    {
        if ($kit->seal === Seal::Intact) {
            throw ValidationException::withMessages([
                'module' => "A seal is on {$kit->code}. Report it broken first, with the reason.",
            ]);
        }
    }

    /** The first slot of the kit that asks for a module of that design and has none. */
    private function slotFor(Kit $kit, string $designId): ?PlanSlot
    {
        $plan = $this->plans->forKit($kit);
        $taken = array_filter(array_map(static fn (PlanPart $part): ?string => $part->kit === null ? null : $part->slotId, $plan->parts));
        foreach ($plan->slots as $slot) {
            if ($slot->designId === $designId && ! in_array($slot->id, $taken, true)) {
                return $slot;
            }
        }

        return null;
    }

    /** "QH-M3": as the kit's code begins, so that its label is of the same house. */
    private static function freeCode(Kit $kit): string
    {
        $house = str_contains($kit->code, '-') ? substr($kit->code, 0, (int) strrpos($kit->code, '-')) : $kit->code;
        for ($number = 1; ; $number++) {
            $code = mb_substr($house, 0, 12)."-M{$number}";
            if (! DB::table('kits')->where('code', $code)->exists()) {
                return $code;
            }
        }
    }
}
