<?php

declare(strict_types=1);

namespace App\Stock;

use App\Kits\Models\Kit;
use App\Ledger\OperationKind;
use App\Ledger\OperationSince;
use App\Ledger\WhenDone;
use Illuminate\Support\Facades\DB;

/** The operation that decides what a kit holds, whatever arrives late: a full check that came after it or may have, or the kit's retirement. */
final readonly class CountedSince
{
    private function __construct(public string $because, public int $number)
    {
    }

    /** Finds the operation that took a kit out of service and gave each of its pieces a place, or returns null where the kit is in service. */
    public static function retired(Kit $kit): ?self
    {
        return $kit->retired_on === null ? null : new self(LateMovements::KIT_RETIRED, (int) DB::table('operation_kits')
            ->join('operations', 'operations.number', '=', 'operation_kits.operation_number')->where('operation_kits.kit_id', $kit->id)
            ->where('operations.kind', OperationKind::Retire->value)->max('operations.number'));
    }

    /**
     * Finds the full check that decides, or returns null where each came clearly before.
     *
     * @param  list<OperationSince>  $since
     */
    public static function of(array $since, WhenDone $when): ?self
    {
        $doubtful = null;
        foreach ($since as $one) {
            if (! $one->isStandingFullCheck() || $when->isClearlyAfter($one->when)) {
                continue;
            }
            if ($one->when->isClearlyAfter($when)) {
                return new self(LateMovements::COUNTED_LATER, $one->number);
            }
            $doubtful = $one;
        }

        return $doubtful === null ? null : new self(LateMovements::IN_DOUBT, $doubtful->number);
    }
}
