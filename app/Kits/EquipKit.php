<?php

declare(strict_types=1);

namespace App\Kits;

use App\Accounts\Models\User;
use App\Assess\CloseTask;
use App\Assess\Models\PlanTask;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationIdIsTaken;
use App\Ledger\OperationKind;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Record;
use App\Support\DoneAtTheSameMoment;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;

/** Makes a new kit of a design, with a code, at a place: an empty bag that is filled by restocking it, or one that came packed. */
final class EquipKit
{
    public function __construct(
        private readonly Record $record,
        private readonly KitStates $states,
        private readonly CloseTask $tasks,
    ) {
    }

    /**
     * @param  PlanTask|null  $task  of a plan that asked for it: its modules go in, and it is done
     * @param  (callable(Kit): list<LotMovement>)|null  $contents  what it came packed with
     */
    public function __invoke(
        NewKitReport $report,
        User $by,
        CarbonInterface $at,
        string $day,
        ?PlanTask $task = null,
        ?callable $contents = null,
    ): Kit {
        return Transaction::run(function () use ($report, $by, $at, $day, $task, $contents): Kit {
            $known = Kit::query()->where('id', $report->id)->with('place')->lockForUpdate()->first();
            if ($known !== null) {
                $this->record->known($report->id, OperationKind::Equip, $by, [$known->id]);

                return $known->code === $report->code && $known->edition->design_id === $report->designId ? $known : throw new OperationIdIsTaken;
            }
            FormerCodes::refuseTaken([$report->code]);
            $place = Place::query()->where('id', $report->placeId)->sharedLock()->firstOrFail();
            if ($place->retired_on !== null) {
                throw ValidationException::withMessages(['place_id' => "{$place->name} is no longer used. Choose another place."]);
            }
            $kit = $this->make($report);
            $movements = $contents === null ? [] : $contents($kit);
            $operation = Operation::now($kit->id, OperationKind::Equip, $by, $at, $day)->of([$kit])->with($movements, [
                new KitChanged($kit->id, 'code', null, $kit->code),
                new KitChanged($kit->id, 'name', null, $kit->name),
                new KitChanged($kit->id, 'edition', null, $kit->design_edition_id, null, $kit->edition->name()),
                new KitChanged($kit->id, 'place', null, $kit->place_id, null, $kit->place->path),
                new KitChanged($kit->id, 'scope', null, $kit->scope->value),
            ]);
            $this->record->write($operation, fn () => $this->states->renew($kit, $day));
            if ($task !== null) {
                $this->tasks->made($task, $kit, $by, $at, $day);
            }

            return $kit;
        });
    }

    private function latest(string $designId): DesignEdition
    {
        return Design::query()->findOrFail($designId)->latest
            ?? throw ValidationException::withMessages(['design_id' => 'No edition of this design is published yet.']);
    }

    private function make(NewKitReport $report): Kit
    {
        $kit = new Kit([
            'id' => $report->id,
            'code' => $report->code,
            'name' => $report->name,
            'design_edition_id' => $this->latest($report->designId)->id,
            'place_id' => $report->placeId,
            'scope' => $report->scope,
            'seal' => 'none',
            'last_operation' => 0,
        ]);
        try {
            $kit->save();
        } catch (UniqueConstraintViolationException $taken) {
            throw str_contains($taken->getMessage(), 'kits_code_unique')
                ? ValidationException::withMessages(['code' => 'Another kit has this code. Choose one that is free.'])
                : new DoneAtTheSameMoment;
        }

        return $kit;
    }
}
