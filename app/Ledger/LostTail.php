<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/** Knows which entries of the record were lost by a restore from a backup: those that were newer than it. */
final class LostTail
{
    /** @return array<int, int> the number of each restore, by the epoch that it began */
    public static function restores(): array
    {
        return Head::read()->epoch < 2 ? [] : array_map(intval(...), DB::table('operations')
            ->where('kind', OperationKind::Restore->value)->pluck('number', 'epoch')->all());
    }

    /** Says whether somebody had seen entries that are lost. */
    public static function concerns(?Base $base): bool
    {
        if ($base === null || $base->epoch >= Head::read()->epoch) {
            return false;
        }

        // The restore has the number that the first lost entry had.
        return $base->number >= (self::restores()[$base->epoch + 1] ?? PHP_INT_MAX);
    }
}
