<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Ledger\Entry;
use App\Ledger\Ledger;
use App\Ledger\NotThere;
use App\Ledger\Spot;
use App\Models\Kit;
use App\Models\User;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Records a restock, whole or not at all, and judges the kit again. Sent twice, it counts once. */
final class RestockKit
{
    public function __construct(
        private readonly Ledger $ledger,
        private readonly KitStates $states,
        private readonly Changes $changes,
    ) {
    }

    /** @throws \App\Exceptions\Stale where the contents changed in the meantime */
    public function __invoke(RestockReport $report, User $by, CarbonInterface $at, string $day): Kit
    {
        return DB::transaction(function () use ($report, $by, $at, $day): Kit {
            $kit = Kit::query()->where('id', $report->kitId)->lockForUpdate()->firstOrFail();
            $kit->refuseRetired();
            if (DB::table('movements')->where('batch_id', $report->id)->exists()) {
                return $kit;
            }
            $this->changes->refuseSince($kit, $report->base, 'The contents changed since this list was made. Nothing was recorded; look at the new list.');
            $this->minds($kit, $report, $day);
            try {
                $this->ledger->record([...$this->out($kit, $report), ...$this->in($kit, $report)], $by, $at, null, $report->id);
            } catch (NotThere $short) {
                throw ValidationException::withMessages([self::field($report, $short->lotId) => $short->getMessage().' Look at the list again.']);
            }
            $kit->refresh();
            $this->states->renew($kit, $day);

            return $kit;
        }, 3);
    }

    private static function field(RestockReport $report, string $lotId): string
    {
        foreach (['out' => $report->out, 'in' => $report->in] as $way => $rows) {
            foreach ($rows as $index => $row) {
                if ($row['lot_id'] === $lotId) {
                    return "{$way}.{$index}.quantity";
                }
            }
        }

        return 'in';
    }

    /** A sealed kit is opened for this: that asks for a reason, and for a new seal or a check. */
    private function minds(Kit $kit, RestockReport $report, string $day): void
    {
        if ($kit->seal === 'intact' && $report->sealReason === null) {
            throw ValidationException::withMessages(['seal_reason' => "Restocking breaks seal {$kit->seal_number}. Say in writing why it was opened."]);
        }
        if ($report->sealSet !== null) {
            $kit->seal = 'intact';
            $kit->seal_number = $report->sealSet;
            $kit->seal_broken_on = null;
            $kit->seal_broken_reason = null;
        } elseif ($kit->seal === 'intact') {
            $kit->seal = 'broken';
            $kit->seal_broken_on = $day;
            $kit->seal_broken_reason = $report->sealReason;
        }
        $kit->save();
    }

    /** @return list<Entry> */
    private function out(Kit $kit, RestockReport $report): array
    {
        return array_map(static fn (array $row): Entry => new Entry(
            $row['lot_id'],
            $row['quantity'],
            Spot::pocket($kit->id, $row['pocket_id'], $row['condition']),
            $row['to'] === 'store' ? Spot::store($report->storeId, $row['condition']) : null,
            $row['to'] === 'store' ? 'returned' : 'discarded',
        ), $report->out);
    }

    /** @return list<Entry> */
    private function in(Kit $kit, RestockReport $report): array
    {
        return array_map(static fn (array $row): Entry => new Entry(
            $row['lot_id'],
            $row['quantity'],
            Spot::store($report->storeId),
            Spot::pocket($kit->id, $row['pocket_id']),
            'restocked',
        ), $report->in);
    }
}
