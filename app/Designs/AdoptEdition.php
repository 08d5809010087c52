<?php

declare(strict_types=1);

namespace App\Designs;

use App\Accounts\Models\User;
use App\Designs\Models\DesignEdition;
use App\Judging\KitJudge;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\Location;
use App\Ledger\LotMovement;
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
 * Has one kit follow another edition of its design, or another design: what changes its pocket is moved, and the kit is judged by it from
 * then on.
 */
final class AdoptEdition
{
    public function __construct(
        private readonly KitJudge $judge,
        private readonly KitPlans $plans,
        private readonly KitStates $states,
        private readonly ReadAdoption $adoption,
        private readonly Record $record,
    ) {
    }

    public function __invoke(Kit $kit, DesignEdition $edition, User $by, CarbonInterface $at, string $day): void
    {
        Transaction::run(function () use ($kit, $edition, $by, $at, $day): void {
            [$whole, $kit] = LockWhole::around($kit->id);
            $kit->refuseRetired();
            $kept = DesignEdition::query()->with('design')->findOrFail($kit->design_edition_id);
            if ($kept->id === $edition->id) {
                return;
            }
            if ($edition->published_at === null) {
                throw ValidationException::withMessages(['edition' => "Edition {$edition->number} of {$edition->design->name} is not published."]);
            }
            if ($kept->design_id !== $edition->design_id) {
                self::refuseOther($whole, $kit, $kept, $edition);
            }
            $now = $this->judge->judge($kit, $day);
            $movements = array_map(static fn (PocketMove $move): LotMovement => new LotMovement(
                (string) $move->row->lotId, $move->row->quantity,
                Location::pocket($kit->id, $move->row->pocketId, $move->row->condition),
                Location::pocket($kit->id, $move->to, $move->row->condition),
                'transferred',
            ), array_values($this->adoption->moves($kit, $now, $this->plans->another($kit, $edition), $day)));
            if ($movements !== []) {
                LockWhole::refuseSealedAround($whole, $kit, 'edition');
            }
            if ($movements !== [] && $kit->seal === Seal::Intact) {
                throw ValidationException::withMessages(['edition' => "Pieces change their pockets, and the seal of {$kit->code} is whole. ".
                    'Report it broken first, with the reason.']);
            }
            $changes = [new KitChanged($kit->id, 'edition', $kept->id, $edition->id, $kept->name(), $edition->name())];
            if ($kit->configuration_id !== null) {
                [$was, $name] = [$kit->configuration_id, DB::table('configurations')->where('id', $kit->configuration_id)->value('name')];
                $becomes = DB::table('configurations')->where('design_edition_id', $edition->id)->where('name', $name)->value('id');
                $becomes = is_string($becomes) ? $becomes : null;
                $changes[] = new KitChanged($kit->id, 'configuration', $was, $becomes, $name, $becomes === null ? null : $name);
            }
            $operation = Operation::now(Str::lower((string) Str::ulid()), OperationKind::Change, $by, $at, $day);
            $this->record->write(
                $operation->of([$kit, ...$whole->besides($kit)])->with($movements, $changes),
                fn () => $this->states->renew($whole, $day),
            );
        });
    }

    /** Another design has other slots: modules are put where they belong by hand. */
    private static function refuseOther(Kit $whole, Kit $kit, DesignEdition $kept, DesignEdition $edition): void
    {
        $why = match (true) {
            $whole->id !== $kit->id => "{$kit->code} is a module in {$whole->code}. Remove it there first.",
            $kit->modules->isNotEmpty() => "Remove the modules of {$kit->code} first: {$edition->design->name} has other places for them.",
            $edition->design->retired_on !== null => "{$edition->design->name} is no longer used. Choose another design.",
            ($kept->design->serves === null) !== ($edition->design->serves === null) => 'A module stays a module, and a kit stays a kit. Choose '.
                'another design.',
            default => null,
        };
        if ($why !== null) {
            throw ValidationException::withMessages(['edition' => $why]);
        }
    }
}
