<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Judging\KitStates;
use App\Ledger\Head;
use App\Ledger\Location;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;

/** Makes what is kept beside the record anew from it: what is where, and the facts of kits. */
final class Rebuild
{
    public function __construct(
        private readonly ReadsRecord $record,
        private readonly ProjectionFaults $projections,
        private readonly KitStates $states,
    ) {
    }

    /** @return int how many rows differed */
    public function __invoke(): int
    {
        return Transaction::run(function (): int {
            Head::lock();
            $replay = new Replay;
            foreach ($this->record->operations() as $operation) {
                $replay->follow($operation);
            }
            $holdings = $this->projections->holdings($replay);
            foreach ($holdings as $one) {
                DB::table('holdings')->where('whereabouts', $one->where)->where('lot_id', $one->lotId)->where('condition', $one->condition)->delete();
                if ($one->recorded > 0) {
                    [$kit, $pocket] = [...explode('/', $one->where), null];
                    $isUnaccounted = $pocket === Location::UNACCOUNTED;
                    DB::table('holdings')->insert([
                        'whereabouts' => $one->where,
                        'kit_id' => $pocket === null || $isUnaccounted ? null : $kit,
                        'pocket_id' => $isUnaccounted ? null : $pocket,
                        'store_id' => $pocket === null ? $kit : null,
                        'lot_id' => $one->lotId,
                        'condition' => $one->condition,
                        'quantity' => $one->recorded,
                    ]);
                }
            }
            $kits = $this->projections->kits();
            foreach ($kits as $id => $facts) {
                DB::table('kits')->where('id', $id)->update($facts->columns());
            }
            $this->states->mark();

            return count($holdings) + count($kits);
        });
    }
}
