<?php

declare(strict_types=1);

namespace App\Reports;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Judging\OpenReports;
use App\Kits\LockWhole;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Reports\Models\KitReport;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Keeps what was reported used until who answers for the kit confirms it or rejects it with a reason. It lowers the verdict at once, and
 * nothing of it is in the record until it is confirmed.
 */
final class KeepReports
{
    public function __construct(private readonly KitStates $states, private readonly Organisation $organisation)
    {
    }

    /**
     * @param  string  $id  made by whoever reports it: sent twice, it counts once
     * @param  array<string, int>  $pieces  by the code of the item; what the kit has no item of is left out
     * @return bool whether it is kept: not where so many wait that one more would say nothing new
     */
    public function take(string $kitId, string $id, array $pieces, ?string $codeId, ?User $by, CarbonInterface $at): bool
    {
        return Transaction::run(function () use ($kitId, $id, $pieces, $codeId, $by, $at): bool {
            [$whole, $kit] = LockWhole::around($kitId);
            $known = KitReport::query()->find($id);
            if ($known !== null) {
                return $known->kit_id === $kit->id && $known->user_id === $by?->id;
            }
            $items = $this->items($kit, array_keys($pieces));
            if ($kit->retired_on !== null || $items === [] || $kit->open_reports >= OpenReports::MOST) {
                return false;
            }
            KitReport::query()->create([
                'id' => $id, 'kit_id' => $kit->id, 'report_code_id' => $codeId, 'user_id' => $by?->id,
                'reported_at' => KitHistory::instant($at),
            ]);
            DB::table('kit_report_rows')->insert(array_map(static fn (string $code, string $item): array => [
                'report_id' => $id, 'item_id' => $item, 'pieces' => $pieces[$code],
            ], array_keys($items), $items));
            $this->follow($whole, $kit);

            return true;
        });
    }

    /** @throws ValidationException where somebody has decided already */
    public function reject(KitReport $report, string $reason, User $by, CarbonInterface $at): void
    {
        $this->decide($report, $by, $at, ['outcome' => 'rejected', 'reason' => $reason]);
    }

    /** A full check has counted the kit since it was reported: what was used is no longer on record. */
    public function confirmCounted(KitReport $report, User $by, CarbonInterface $at): void
    {
        $this->decide($report, $by, $at, ['outcome' => 'confirmed'], static function (KitReport $report): void {
            if (! isset(OpenReports::countedSince([$report->kit_id])[$report->id])) {
                throw ValidationException::withMessages([
                    'report' => 'No full check has counted this kit since. Say which pieces were used, or check it first.',
                ]);
            }
        });
    }

    /**
     * It is recorded as that use; within the transaction that holds the kit, before the kit is judged.
     *
     * @throws ValidationException where somebody has decided already
     */
    public function confirm(string $id, Kit $kit, User $by, CarbonInterface $at): void
    {
        $report = KitReport::query()->where('id', $id)->where('kit_id', $kit->id)->lockForUpdate()->first();
        if ($report === null) {
            throw ValidationException::withMessages(['report_id' => 'There is no such report of this kit. Open the kit again.']);
        }
        self::refuseDecided($report, 'report_id');
        $report->update(['outcome' => 'confirmed', 'decided_by_id' => $by->id, 'decided_at' => KitHistory::instant($at)]);
        self::count($kit);
    }

    public static function recordedAs(string $id, int $operation): void
    {
        KitReport::query()->where('id', $id)->update(['operation_number' => $operation]);
    }

    /**
     * @param  array<string, string>  $outcome
     * @param  (\Closure(KitReport): void)|null  $refuse  asked while the kit is held
     */
    private function decide(KitReport $report, User $by, CarbonInterface $at, array $outcome, ?\Closure $refuse = null): void
    {
        Transaction::run(function () use ($report, $by, $at, $outcome, $refuse): void {
            [$whole, $kit] = LockWhole::around($report->kit_id);
            $report = KitReport::query()->where('id', $report->id)->lockForUpdate()->firstOrFail();
            if ($report->outcome === $outcome['outcome'] && $report->decided_by_id === $by->id) {
                return;
            }
            self::refuseDecided($report, 'report');
            $refuse === null ? null : $refuse($report);
            $report->update([...$outcome, 'decided_by_id' => $by->id, 'decided_at' => KitHistory::instant($at)]);
            $this->follow($whole, $kit);
        });
    }

    private static function refuseDecided(KitReport $report, string $field): void
    {
        if ($report->outcome !== null) {
            throw ValidationException::withMessages([
                $field => "{$report->decidedBy?->name} has {$report->outcome} this report already. Open the kit again.",
            ]);
        }
    }

    /** The kit says how many wait, and is judged at once. */
    private function follow(Kit $whole, Kit $kit): void
    {
        self::count($kit);
        if ($whole->retired_on === null) {
            // No operation says that the kit changed: whoever judges it from a snapshot of before must not keep that over this.
            $this->states->mark([$whole->id]);
            $this->states->renew($whole, $this->organisation->today());
        }
    }

    private static function count(Kit $kit): void
    {
        $open = KitReport::query()->where('kit_id', $kit->id)->whereNull('outcome')->count();
        Kit::query()->where('id', $kit->id)->update(['open_reports' => $open]);
        $kit->setAttribute('open_reports', $open);
        $kit->syncOriginalAttribute('open_reports');
    }

    /**
     * @param  list<int|string>  $codes
     * @return array<string, string> ids of items by code: of those that are on record in the kit
     */
    private function items(Kit $kit, array $codes): array
    {
        return ReadReports::itemsOf($kit)->whereIn('items.code', array_map(strval(...), $codes))->pluck('items.id', 'items.code')->all();
    }
}
