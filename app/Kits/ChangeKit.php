<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Moves a kit, renames it, or takes it out of service, with the modules in it; each is an operation of its own, and the kit is judged again. */
final class ChangeKit
{
    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
    ) {
    }

    public function move(Kit $kit, Place $to, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $to, $by, $at, $day): void {
            $kit = $this->lock($kit);
            if ($to->retired_on !== null) {
                throw ValidationException::withMessages(['place_id' => "{$to->name} is no longer used. Choose another place."]);
            }
            // What is in a kit goes where it goes.
            $changes = [];
            foreach ($kit->whole() as $one) {
                $changes[] = new KitChanged($one->id, 'place', $one->place_id, $to->id, $one->place->path, $to->path);
                $one->setRelation('place', $to);
            }
            $this->write($kit, OperationKind::Move, $changes, $by, $at, $day);
        });
    }

    /**
     * Its code and name, and who may use what is in it where nobody is posted to its place. The code that it had stays its own: whoever
     * reads the old label is led to it.
     */
    public function describe(Kit $kit, string $code, string $name, string $scope, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $code, $name, $scope, $by, $at, $day): void {
            $kit = $this->lock($kit);
            FormerCodes::refuseTaken([$code], $kit);
            if ($code !== $kit->code) {
                FormerCodes::keep($kit, $day);
            }
            $changes = [
                ...($code === $kit->code ? [] : [new KitChanged($kit->id, 'code', $kit->code, $code)]),
                ...($name === $kit->name ? [] : [new KitChanged($kit->id, 'name', $kit->name, $name)]),
                ...($scope === $kit->scope->value ? [] : [new KitChanged($kit->id, 'scope', $kit->scope->value, $scope)]),
            ];
            if ($changes !== []) {
                $this->write($kit, OperationKind::Change, $changes, $by, $at, $day);
            }
        });
    }

    /** @param  list<KitChanged>  $changes */
    private function write(Kit $kit, OperationKind $kind, array $changes, User $by, CarbonInterface $at, string $day): void
    {
        $this->record->write(
            self::operation($kind, $by, $at, $day)
                ->of($kit->whole())
                ->with([], $changes),
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
        if ($kit->parent_kit_id !== null) {
            throw ValidationException::withMessages(['kit' => "{$kit->code} is a module in another kit. Remove it from there first."]);
        }

        return $kit;
    }
}
