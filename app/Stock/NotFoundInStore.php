<?php

declare(strict_types=1);

namespace App\Stock;

use App\Ledger\Holdings;
use App\Ledger\Location;
use App\Ledger\LotMovement;

/** What the record has in a store and nobody found there: it is taken off the record, as a count of nothing would. */
final class NotFoundInStore
{
    public function __construct(private readonly Holdings $holdings, private readonly MovedSince $moved)
    {
    }

    /**
     * Pieces that came after somebody looked stay, and so does a lot that was moved while they looked.
     *
     * @return list<LotMovement>
     */
    public function movements(RestockReport $report): array
    {
        if ($report->notFound === []) {
            return [];
        }
        $since = $this->moved->at($report->storeId, $report->base, $report->when);
        $movements = [];
        foreach ($report->notFound as $lotId) {
            $place = Location::store($report->storeId);
            $key = "{$lotId} {$place->condition}";
            $put = array_sum(array_map(static fn (PutIn $row): int => strtolower($row->lotId) === $lotId ? $row->quantity : 0, $report->in));
            $now = $this->holdings->of($place, $lotId) - $put;
            $gone = min($now, $now - ($since->after[$key] ?? 0));
            if ($gone > 0 && ! isset($since->inDoubt[$key])) {
                $movements[] = new LotMovement($lotId, $gone, $place, null, 'counted');
            }
        }

        return $movements;
    }
}
