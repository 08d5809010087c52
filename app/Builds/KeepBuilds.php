<?php

declare(strict_types=1);

namespace App\Builds;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Builds\Models\Build;
use App\Judging\KitStates;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Ledger\Operation;
use App\Ledger\OperationIdIsTaken;
use App\Ledger\OperationKind;
use App\Ledger\Record;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** Keeps who packs a kit anew: begun, handed over half done, taken up by another, ended without a record. Each may be sent twice. */
final class KeepBuilds
{
    public function __construct(
        private readonly KitStates $states,
        private readonly Record $record,
        private readonly Organisation $organisation,
    ) {
    }

    /** From now on everything may be out of the kit: it is not ready. */
    public function begin(Kit $kit, string $id, User $by, CarbonInterface $begunAt): void
    {
        Transaction::run(function () use ($kit, $id, $by, $begunAt): void {
            $kit = Kit::locked($kit->id);
            $known = Build::query()->find($id);
            if ($known !== null) {
                self::refuseOther($known, $kit);

                return;
            }
            $kit->refuseRetired();
            Build::query()->create([
                'id' => $id, 'kit_id' => $kit->id, 'begun_by_id' => $by->id, 'begun_at' => KitHistory::instant($begunAt),
            ]);
            self::follow($kit);
            $this->states->mark([$kit->id]);
        });
    }

    /**
     * Handed over half done: whoever may restock the kit goes on with it.
     *
     * @param  string  $work  as the page keeps it
     */
    public function leave(
        Kit $kit, string $id, User $by, CarbonInterface $at, string $work, int $version, int $packed, int $pockets, ?string $note,
    ): void {
        Transaction::run(function () use ($kit, $id, $by, $at, $work, $version, $packed, $pockets, $note): void {
            $build = $this->open($kit, $id);
            if (self::holder($build) !== $by->id) {
                throw ValidationException::withMessages(['build' => self::whoHas($build).' has it now. Open the kit again.']);
            }
            $build->forceFill([
                'left_by_id' => $by->id, 'left_at' => KitHistory::instant($at), 'left_note' => $note, 'left_work' => $work,
                'left_version' => $version, 'pockets_packed' => $packed, 'pockets' => $pockets, 'taken_by_id' => null, 'taken_at' => null,
            ])->save();
        });
    }

    /**
     * @param  string|null  $seen  who had taken it up when that was read: two who take it up at once are told apart
     * @return Build with the work as it was left
     */
    public function takeUp(Kit $kit, string $id, User $by, CarbonInterface $at, ?string $seen): Build
    {
        return Transaction::run(function () use ($kit, $id, $by, $at, $seen): Build {
            $build = $this->open($kit, $id);
            if ($build->left_work === null) {
                throw ValidationException::withMessages(['build' => self::whoHas($build).' has not handed it over.']);
            }
            if ($build->taken_by_id !== $by->id) {
                if ($build->taken_by_id !== $seen) {
                    throw ValidationException::withMessages(['build' => self::whoHas($build).' has taken it up meanwhile. Open the kit again.']);
                }
                $build->forceFill(['taken_by_id' => $by->id, 'taken_at' => KitHistory::instant($at)])->save();
                $this->states->mark([$kit->id]);
            }

            return $build;
        });
    }

    /** Ends a repack without new contents. Everything put back makes a check due: nobody counted it. */
    public function end(Kit $kit, string $id, User $by, CarbonInterface $at, string $outcome): void
    {
        Transaction::run(function () use ($kit, $id, $by, $at, $outcome): void {
            [$whole, $kit] = LockWhole::around($kit->id);
            $build = Build::query()->where('id', $id)->where('kit_id', $kit->id)->lockForUpdate()->first();
            if ($build === null || $build->ended_at !== null) {
                return;
            }
            if ($outcome === 'put_back' && $kit->seal === Seal::Intact) {
                throw ValidationException::withMessages([
                    'outcome' => "The seal of {$kit->code} is whole on record. Report it broken first, with the reason.",
                ]);
            }
            $this->close($build, $kit, $by, $at, $outcome);
            $this->states->mark([$kit->id]);
            if ($outcome === 'put_back' && $kit->retired_on === null) {
                $day = $this->organisation->dayOf($at);
                $this->record->write(
                    Operation::now(Str::lower((string) Str::ulid()), OperationKind::PutBack, $by, $at, $day)->of([$kit, ...$whole->besides($kit)]),
                    fn () => $this->states->renew($whole, $day),
                );
            }
        });
    }

    /** What it was begun for is done; within the transaction that holds the kit. */
    public function close(Build $build, Kit $kit, User $by, CarbonInterface $at, string $outcome): void
    {
        $build->forceFill([
            'ended_at' => KitHistory::instant($at), 'ended_by_id' => $by->id, 'outcome' => $outcome, 'left_work' => null,
        ])->save();
        self::follow($kit);
    }

    /** The kit says which build of it is open: of several, the one that was begun last. */
    private static function follow(Kit $kit): void
    {
        $open = Build::query()->where('kit_id', $kit->id)->whereNull('ended_at')->orderByDesc('begun_at')->orderByDesc('id')->value('id');
        Kit::query()->where('id', $kit->id)->update(['build_id' => $open]);
        $kit->setAttribute('build_id', $open);
        $kit->syncOriginalAttribute('build_id');
    }

    private function open(Kit $kit, string $id): Build
    {
        $build = Build::query()->where('id', $id)->where('kit_id', $kit->id)->lockForUpdate()->first();
        if ($build === null || $build->ended_at !== null) {
            throw ValidationException::withMessages(['build' => $build === null
                ? "{$kit->code} is not being repacked under this id. Open the kit again."
                : "Packing {$kit->code} anew has ended already. Open the kit again."]);
        }

        return $build;
    }

    private static function refuseOther(Build $known, Kit $kit): void
    {
        if ($known->kit_id !== $kit->id) {
            throw new OperationIdIsTaken;
        }
    }

    /** Whose device has the work; who left it may go on until somebody takes it up. */
    private static function holder(Build $build): string
    {
        return $build->taken_by_id ?? ($build->left_by_id === null ? $build->begun_by_id : $build->left_by_id);
    }

    private static function whoHas(Build $build): string
    {
        return $build->takenBy->name ?? $build->leftBy->name ?? $build->begunBy->name;
    }
}
