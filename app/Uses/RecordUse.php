<?php

declare(strict_types=1);

namespace App\Uses;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Checks\Arrivals;
use App\Checks\KeepUnsettled;
use App\Checks\Recorded;
use App\Checks\UnsettledRow;
use App\Judging\KitStates;
use App\Kits\KitSeal;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Kits\PocketFor;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\PieceCondition;
use App\Ledger\PiecesAreNotThere;
use App\Ledger\Record;
use App\Reports\KeepReports;
use App\Staging\KeepStaging;
use App\Stock\LateMovements;
use App\Stock\Models\Store;
use App\Stock\NearestStore;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;

/**
 * Records what was used from a kit, and judges it again at once. Sent twice, it counts once; what arrives late is recorded as far as the
 * pieces are there, and the rest waits for somebody.
 */
final class RecordUse
{
    public function __construct(
        private readonly Record $record,
        private readonly Arrivals $arrivals,
        private readonly LateMovements $late,
        private readonly KitStates $states,
        private readonly KitSeal $seal,
        private readonly PocketFor $pocketFor,
        private readonly KeepUnsettled $unsettled,
        private readonly Organisation $organisation,
        private readonly KeepReports $reports,
        private readonly NearestStore $nearest,
        private readonly KeepStaging $staging,
    ) {
    }

    public function __invoke(UseReport $report, User $by): Recorded
    {
        return Transaction::run(function () use ($report, $by): Recorded {
            // Of several kits, the locks are taken in one order, whoever comes from which side.
            $ids = [$report->kitId, ...$report->otherKits()];
            sort($ids);
            $held = array_combine($ids, array_map(LockWhole::around(...), $ids));
            [$whole, $kit] = $held[$report->kitId];
            self::refuseWithin($whole, array_diff_key($held, [$report->kitId => 0]));
            $before = $this->arrivals->before($report->id, $report->kind(), $by, $kit);
            if ($before !== null) {
                return $before;
            }
            $arrival = $this->arrivals->of($kit, $report->base, $report->when);
            $opened = [$kit, ...$kit->modulesAt($report->pockets())];
            $arrival->refuseUnexplained($opened, $report->sealReason, 'Taking something out');
            if (! $arrival->isLate) {
                LockWhole::refuseSealedAround($whole, $kit, 'seal_reason');
                $report = $report->at($report->when->notBefore($kit->last_done_at));
            }
            $movements = $this->movements($kit, $report, array_map(static fn (array $pair): Kit => $pair[1], $held));
            [$possible, $rest] = $arrival->isLate || $this->isLateElsewhere($held, $report)
                ? $this->late->of($movements, self::byId($held), $report->base, $arrival->head, $report->when, $by)
                : [$movements, []];
            if ($possible === [] && $movements !== []) {
                return $this->arrivals->keep($report->id, $report->kind(), $kit, $by, $report->when, $rest, $report->body);
            }

            return $this->write($held, $report, $by, $possible, $rest, $opened);
        });
    }

    /**
     * Says whether a kit that pieces move to has changed since their doer saw it.
     *
     * @param  array<string, array{Kit, Kit}>  $held
     */
    private function isLateElsewhere(array $held, UseReport $report): bool
    {
        foreach ($held as [, $one]) {
            if ($one->id !== $report->kitId && $this->arrivals->of($one, $report->base, $report->when)->since !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, array{Kit, Kit}>  $held
     * @return array<string, Kit> all kits and modules that pieces may leave or reach
     */
    private static function byId(array $held): array
    {
        $kits = [];
        foreach ($held as [$whole, $one]) {
            foreach ([$one, ...$whole->besides($one)] as $part) {
                $kits[$part->id] ??= $part;
            }
        }

        return $kits;
    }

    /**
     * What changes its place within one whole is counted or packed there: its parts are judged together.
     *
     * @param  array<string, array{Kit, Kit}>  $others
     */
    private static function refuseWithin(Kit $whole, array $others): void
    {
        foreach ($others as [$other, $kit]) {
            if ($other->id === $whole->id) {
                throw ValidationException::withMessages([
                    'taken' => "{$kit->code} is part of the same kit. Pack it anew to move pieces within it.",
                ]);
            }
        }
    }

    /**
     * @param  array<string, array{Kit, Kit}>  $held
     * @param  list<LotMovement>  $movements
     * @param  list<UnsettledRow>  $rest
     * @param  list<Kit>  $opened
     */
    private function write(array $held, UseReport $report, User $by, array $movements, array $rest, array $opened): Recorded
    {
        [$when, $kit] = [$report->when, $held[$report->kitId][1]];
        $seals = [];
        foreach ($opened as $one) {
            array_push($seals, ...$this->seal->opened($one, $when, $report->sealReason, null));
        }
        $kits = [$kit->id => $kit] + self::byId($held);
        $wholes = [];
        foreach ($held as [$whole, $one]) {
            if ($one->retired_on === null) {
                $wholes[$whole->id] = $whole;
            }
        }
        $operation = (new Operation(
            $report->id, $report->kind(), $by, $when->begunAt, $when->doneAt, $when->receivedAt, $this->organisation->dayOf($when->doneAt),
            $report->base, array_values($kits), self::stores($movements), $movements, $seals, clockCheckedAt: $when->clockCheckedAt,
        ))->saying($report->handedBackBy, $report->note);
        $day = $this->organisation->dayOf($when->receivedAt);
        $this->staging->carry(array_values($kits), $movements);
        try {
            if ($report->reportId !== null) {
                $this->reports->confirm($report->reportId, $kit, $by, $when->receivedAt);
            }
            $number = $this->record->write($operation, $wholes === [] ? null : function () use ($wholes, $day): void {
                foreach ($wholes as $whole) {
                    $this->states->renew($whole, $day);
                }
            });
        } catch (PiecesAreNotThere $short) {
            throw ValidationException::withMessages([self::field($report, $short) => $short->getMessage().' Look at the kit again.']);
        }
        $this->unsettled->keep($report->id, $report->kind(), $kit, $by, $when, $rest, $number);
        foreach (LateMovements::leavesDoubt($rest) ? $wholes : [] as $whole) {
            $this->states->renew(Kit::locked($whole->id), $day);
        }
        if ($report->reportId !== null) {
            KeepReports::recordedAs($report->reportId, $number);
        }

        return Recorded::under($number, $report->id);
    }

    /**
     * @param  list<LotMovement>  $movements
     * @return list<Store>
     */
    private static function stores(array $movements): array
    {
        $ids = array_filter(array_map(static fn (LotMovement $one): ?string => $one->to?->storeId, $movements));

        return array_values(Store::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get()->all());
    }

    /**
     * @param  array<string, Kit>  $kits  by id
     * @return list<LotMovement>
     */
    private function movements(Kit $kit, UseReport $report, array $kits): array
    {
        $day = $this->organisation->dayOf($report->when->doneAt);

        $trains = array_filter($report->taken, static fn (TakenPiece $one): bool => $one->why === WhyTaken::Training) !== [];
        // What was used for training is a training piece from now on, in the store that the kit is restocked from.
        $near = $trains ? ($this->nearest)($kit) : null;

        return array_map(function (TakenPiece $one) use ($kit, $kits, $day, $near): LotMovement {
            $to = match (true) {
                $one->toKitId !== null => Location::pocket(
                    $one->toKitId, ($this->pocketFor)($kits[$one->toKitId], $one->lotId, 'taken'), $one->condition,
                ),
                // It is good as long as it is from today on.
                $one->isOpened => Location::pocket($kit->id, $one->pocketId, PieceCondition::recorded('opened', $day)),
                $one->why === WhyTaken::Training && $near !== null => Location::store($near->id, PieceCondition::TRAINING),
                default => null,
            };

            $from = Location::pocket($kit->id, $one->pocketId, $one->condition);

            return new LotMovement($one->lotId, $one->quantity, $from, $to, $one->why->reason());
        }, $report->taken);
    }

    private static function field(UseReport $report, PiecesAreNotThere $short): string
    {
        foreach ($report->taken as $at => $one) {
            if (strtolower($one->lotId) === $short->lotId) {
                return "taken.{$at}.quantity";
            }
        }

        return 'taken';
    }
}
