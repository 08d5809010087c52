<?php

declare(strict_types=1);

namespace App\Builds;

use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Stock\PutIn;

/** What a kit that was repacked means for the pieces, as movements: none for what went back where it was. */
final class BuildMovements
{
    /** @return list<LotMovement> what came to light first, then what left, what changed its pocket, and what came from the store */
    public static function of(BuildReport $report): array
    {
        $movements = [];
        foreach ($report->pieces as $piece) {
            $there = Location::pocket($report->kitId, $piece->pocketId, $piece->condition);
            $more = $piece->found - $piece->recorded;
            if ($more > 0) {
                $movements[] = new LotMovement($piece->lotId, $more, null, $there, 'counted');
            }
        }
        foreach ($report->pieces as $piece) {
            $there = Location::pocket($report->kitId, $piece->pocketId, $piece->condition);
            foreach ([
                [$piece->recorded - $piece->found, null, 'counted'],
                [$piece->toStore, Location::store($report->storeId, $piece->condition), 'returned'],
                [$piece->discarded, null, 'discarded'],
            ] as [$pieces, $to, $reason]) {
                if ($pieces > 0) {
                    $movements[] = new LotMovement($piece->lotId, $pieces, $there, $to, $reason);
                }
            }
            foreach ($piece->back as $pocket => $pieces) {
                if ((string) $pocket !== $piece->pocketId && $pieces > 0) {
                    $to = Location::pocket($report->kitId, (string) $pocket, $piece->condition);
                    $movements[] = new LotMovement($piece->lotId, $pieces, $there, $to, 'transferred');
                }
            }
        }

        return [...$movements, ...array_map(static fn (PutIn $row): LotMovement => new LotMovement(
            $row->lotId, $row->quantity, Location::store($report->storeId), Location::pocket($report->kitId, $row->pocketId), 'restocked',
        ), $report->in)];
    }
}
