<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Kits\Models\Kit;
use App\Ledger\Parts\KitChanged;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What was recorded of a kit since somebody began to work on it: what they send then is late. */
final class OperationsSince
{
    /** @return list<OperationSince> oldest first; none where what they saw is what there is */
    public function of(Kit $kit, ?Base $base, Head $head): array
    {
        if ($base === null || $base->epoch === $head->epoch && $kit->last_operation <= $base->number) {
            return [];
        }
        $rows = DB::table('operation_kits')->join('operations', 'operations.number', '=', 'operation_kits.operation_number')
            ->leftJoin('checks', fn ($join) => $join->on('checks.operation_number', '=', 'operations.number')->where('checks.kit_id', $kit->id))
            ->leftJoin('kit_changes', fn ($join) => $join->on('kit_changes.operation_number', '=', 'operations.number')
                ->where('kit_changes.kit_id', $kit->id)->where('kit_changes.field', KitChanged::COUNTED))
            ->where('operation_kits.kit_id', $kit->id)
            ->where(fn ($query) => $query->where('operations.epoch', '>', $base->epoch)
                ->orWhere(fn ($same) => $same->where('operations.epoch', $base->epoch)->where('operations.number', '>', $base->number)))
            // A number read on a seal changes nothing that others could have seen.
            ->where('operations.kind', '<>', OperationKind::SealRead->value)->orderBy('operations.number')
            ->get([
                'operations.number',
                'operations.kind',
                'operations.begun_at',
                'operations.done_at',
                'operations.received_at',
                'operations.clock_checked_at',
                'checks.standing',
                'kit_changes.field as counted',
            ]);
        $seals = [];
        foreach (
            DB::table('seals')
                ->where('kit_id', $kit->id)
                ->whereIn('operation_number', $rows->pluck('number')->all())
                ->get(['operation_number', 'event']) as $seal
        ) {
            $seals[$seal->event][$seal->operation_number] = true;
        }

        return array_values(
            $rows
                ->map(
                    static fn (stdClass $row): OperationSince => new OperationSince(
                        (int) $row->number,
                        OperationKind::from($row->kind),
                        self::when($row),
                        $row->standing,
                        isset($seals['broken'][$row->number]),
                        isset($seals['set'][$row->number]),
                        $row->counted !== null,
                    ),
                )
                ->all(),
        );
    }

    private static function when(stdClass $row): WhenDone
    {
        $instant = static fn (string $at): CarbonImmutable => CarbonImmutable::parse($at, 'UTC');

        return new WhenDone(
            $instant($row->begun_at),
            $instant($row->done_at),
            $instant($row->received_at),
            $row->clock_checked_at === null ? null : $instant($row->clock_checked_at),
        );
    }
}
