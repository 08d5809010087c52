<?php

declare(strict_types=1);

namespace App\Kits;

use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Ledger\Parts\SealEvent;
use App\Ledger\WhenDone;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Due\Seal;

/** The seal of a kit: what it means for it that the kit was opened, and closed again. */
final class KitSeal
{
    private const NOT_SAID = 'Not said: the kit was opened by somebody who did not know of this seal yet';

    /**
     * @param  WhenDone  $when  when the kit was opened: a seal that was set later stays whole
     * @param  string|null  $set  the number of the seal that the kit was closed with
     * @return list<SealEvent>
     */
    public function opened(Kit $kit, WhenDone $when, ?string $reason, ?string $set): array
    {
        $events = [];
        if ($kit->seal === Seal::Intact) {
            $last = $this->lastSet($kit);
            if ($last !== null && $last->done_at > KitHistory::instant($when->doneAt)) {
                return [];
            }
            $events[] = new SealEvent(
                $kit->id,
                'broken',
                $kit->seal_number,
                $reason ?? self::NOT_SAID,
                $last === null ? null : (int) $last->operation_number,
            );
        }
        if ($set !== null) {
            $events[] = new SealEvent($kit->id, 'set', $set);
        }

        return $events;
    }

    /** Of the seal that is whole now: null where it was set before the record began. */
    private function lastSet(Kit $kit): ?\stdClass
    {
        /** @var \stdClass|null $last */
        $last = DB::table('seals')
            ->join('operations', 'operations.number', '=', 'seals.operation_number')
            ->where('seals.kit_id', $kit->id)
            ->where('seals.event', 'set')
            ->where('seals.seal_number', $kit->seal_number)
            ->whereNotExists(
                fn ($broken) => $broken
                    ->from('seals as broken')
                    ->whereColumn('broken.kit_id', 'seals.kit_id')
                    ->whereColumn('broken.set_by', 'seals.operation_number'),
            )
            ->orderByDesc('operations.done_at')
            ->orderByDesc('operations.number')
            ->first(['seals.operation_number', 'operations.done_at']);

        return $last;
    }
}
