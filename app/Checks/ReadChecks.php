<?php

declare(strict_types=1);

namespace App\Checks;

use App\Checks\Http\CheckFindingResource;
use App\Checks\Http\CheckLineResource;
use App\Checks\Http\CheckRef;
use App\Checks\Http\CheckResource;
use App\Checks\Http\CheckRowResource;
use App\Checks\Http\FinishedResource;
use App\Checks\Models\Unsettled;
use App\Judging\Words;
use App\Ledger\Keys;
use App\Ledger\Models\CheckFinding;
use App\Ledger\Models\CheckLine;
use App\Ledger\Models\CheckRow;
use App\Ledger\Models\Operation;
use App\Ledger\Models\Seal;
use App\Ledger\OperationKind;
use App\Ledger\Parts\CheckFinding as Fact;
use App\Ledger\PieceCondition;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Checks as they were signed: names, dates as printed, ranks and requirements as on that day, whatever has changed since. */
final class ReadChecks
{
    public function __construct(
        private readonly Keys $keys,
        private readonly ReadUnsettled $unsettled,
    ) {
    }

    /**
     * What is answered when a check was recorded: one question to the database, for it is asked at every check.
     *
     * @param  Collection<int, Unsettled>  $unsettled  of it
     */
    public function finished(int $number, Collection $unsettled): FinishedResource
    {
        /** @var \stdClass $check */
        $check = DB::table('operations')
            ->join('checks', 'checks.operation_number', '=', 'operations.number')
            ->join('operation_kits', 'operation_kits.operation_number', '=', 'operations.number')
            ->where('operations.number', $number)
            ->first(['operations.id', 'operations.kind', 'operations.user_name', 'operation_kits.code', 'checks.standing', 'checks.verdict']);

        return new FinishedResource(
            $check->id, $number, $check->code, $check->kind === OperationKind::FullCheck->value ? 'full' : 'quick', $check->standing, $check->verdict,
            $check->user_name,
            $this->unsettled->rows($unsettled->where('operation_number', $number)->where('settled_at', null)->load(['kit', 'user'])),
        );
    }

    /** @return Collection<int, Unsettled> what is not settled yet of a check */
    private function openOf(int $number): Collection
    {
        return Unsettled::query()->with(['kit', 'user'])->where('operation_number', $number)->where('settled_at', null)->orderBy('id')->get();
    }

    public function whole(Operation $operation): CheckResource
    {
        $operation->load(['check', 'kits', 'seals', 'rows', 'lines', 'findings']);
        $check = $operation->check ?? throw new \LogicException("Operation {$operation->number} is no check.");
        $kit = $operation->kits->firstOrFail();
        $broken = $operation->seals->first(static fn (Seal $seal): bool => $seal->event === 'broken');
        $set = $operation->seals->first(static fn (Seal $seal): bool => $seal->event === 'set');

        return new CheckResource(
            $operation->id,
            $operation->number,
            $kit->code,
            $kit->name,
            self::kind($operation),
            $kit->place,
            $check->standing,
            $operation->begun_at.'Z',
            $operation->done_at.'Z',
            $operation->received_at.'Z',
            $operation->day,
            (string) $operation->signed,
            (string) $operation->user_name,
            $operation->signed_because,
            $check->verdict->value,
            $check->design,
            $check->list_title,
            $check->list_edition,
            (bool) $check->list_confirmed,
            $check->expiry->value,
            $check->margin_days,
            $check->next_check,
            $check->mass_g,
            $check->max_mass_g,
            $check->seal_found,
            $set?->seal_number,
            $broken?->reason,
            $operation->note,
            $operation->hash,
            $this->keys->publicKey(),
            array_values(
                $operation->rows
                    ->map(
                        static fn (CheckRow $row): CheckRowResource => new CheckRowResource(
                            $row->pocket,
                            $row->item_code,
                            $row->item_name,
                            $row->lot_number,
                            $row->expires,
                            PieceCondition::of($row->condition)->condition->value,
                            PieceCondition::of($row->condition)->openedOn,
                            $row->recorded,
                            $row->counted,
                            $row->became,
                            (bool) $row->in_doubt,
                        ),
                    )
                    ->all(),
            ),
            array_values(
                $operation->lines
                    ->map(
                        static fn (CheckLine $line): CheckLineResource => new CheckLineResource(
                            $line->code,
                            $line->need,
                            $line->pocket,
                            $line->rank->value,
                            $line->required,
                            $line->effective,
                            $line->reserve,
                            $line->short,
                        ),
                    )
                    ->all(),
            ),
            array_values(
                $operation->findings
                    ->map(
                        static fn (CheckFinding $finding): CheckFindingResource => new CheckFindingResource(
                            $finding->kind->value,
                            $finding->severity->value,
                            Words::found(self::fact($finding)),
                        ),
                    )
                    ->all(),
            ),
            $this->unsettled->rows($this->openOf($operation->number)),
        );
    }

    public function ref(Operation $operation): CheckRef
    {
        return new CheckRef(
            $operation->id,
            self::kind($operation),
            $operation->day,
            $operation->done_at.'Z',
            (string) $operation->signed,
            (string) $operation->user_name,
            (string) $operation->check?->verdict->value,
        );
    }

    private static function kind(Operation $operation): string
    {
        return $operation->kind === OperationKind::FullCheck ? 'full' : 'quick';
    }

    private static function fact(CheckFinding $finding): Fact
    {
        return new Fact(
            $finding->kind->value, $finding->severity->value, $finding->line, $finding->subject, $finding->item_code,
            $finding->lot_number, $finding->expires,
            $finding->good_until, $finding->pocket, $finding->quantity, $finding->detail,
        );
    }
}
