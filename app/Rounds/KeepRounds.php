<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Accounts\Models\User;
use App\Judging\Judged;
use App\Judging\KitJudge;
use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Rounds\Models\Round;
use App\Stock\Models\Store;
use App\Stock\RestockPlan;
use App\Stock\SharedPicks;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps a round: what was picked for which kit, which are done, and that it has ended. Whoever restocks may go on with it. */
final class KeepRounds
{
    public function __construct(private readonly KitJudge $judge, private readonly SharedPicks $shared)
    {
    }

    /**
     * @param  string  $id  a ULID made by the page: sent twice, one round is kept
     * @param  non-empty-list<Kit>  $kits  in walking order
     */
    public function begin(string $id, array $kits, Store $store, User $by, CarbonInterface $at, string $today): void
    {
        Transaction::run(function () use ($id, $kits, $store, $by, $at, $today): void {
            // Two who begin at once would promise the same pieces, or take the same kit along: one after the other.
            Kit::query()->whereIn('id', array_map(static fn (Kit $kit): string => $kit->id, $kits))->orderBy('id')->lockForUpdate()->get('id');
            $store = Store::query()->where('id', $store->id)->lockForUpdate()->firstOrFail();
            if (Round::query()->where('id', $id)->exists()) {
                return;
            }
            $taken = self::openOf(array_map(static fn (Kit $kit): string => $kit->id, $kits));
            if ($taken !== []) {
                throw ValidationException::withMessages([
                    'kits' => implode(', ', $taken).' is on another round already. End that first, or leave the kit out.',
                ]);
            }
            $judged = array_map(fn (Kit $kit): Judged => $this->judge->judge($kit, $today), $kits);
            $plans = $this->shared->among($judged, $store);
            Round::query()->create(['id' => $id, 'store_id' => $store->id, 'made_by_id' => $by->id, 'made_at' => KitHistory::instant($at)]);
            DB::table('restock_round_kits')->insert(array_map(static fn (Kit $kit, int $position): array => [
                'round_id' => $id, 'kit_id' => $kit->id, 'position' => $position,
            ], $kits, array_keys($kits)));
            foreach ($kits as $position => $kit) {
                self::keepPicks($id, $kit, $plans[$position]);
            }
        });
    }

    /** Within the transaction that records the restock. */
    public static function done(string $roundId, string $kitId, int $operation, User $by, CarbonInterface $at): void
    {
        DB::table('restock_round_kits')->where('round_id', $roundId)->where('kit_id', $kitId)->whereNull('done_at')->update([
            'operation_number' => $operation, 'done_by_id' => $by->id, 'done_at' => KitHistory::instant($at),
        ]);
        self::endWhereDone($roundId, $at);
    }

    /** Passed by: its pieces go back to the store with the box. */
    public function skip(Round $round, Kit $kit, string $reason, User $by, CarbonInterface $at): void
    {
        $skipped = DB::table('restock_round_kits')->where('round_id', $round->id)->where('kit_id', $kit->id)->whereNull('done_at')->update([
            'skipped_because' => $reason, 'done_by_id' => $by->id, 'done_at' => KitHistory::instant($at),
        ]);
        if ($skipped === 0) {
            throw ValidationException::withMessages(['reason' => "{$kit->code} is done already, or not on this round. Open the round again."]);
        }
        self::endWhereDone($round->id, $at);
    }

    public function end(Round $round, CarbonInterface $at): void
    {
        Round::query()->where('id', $round->id)->where('ended_at', null)->update(['ended_at' => KitHistory::instant($at)]);
    }

    /**
     * @param  list<string>  $kitIds
     * @return list<string> codes of those that are on a round and not done
     */
    private static function openOf(array $kitIds): array
    {
        return array_values(array_map(strval(...), DB::table('restock_round_kits')
            ->join('restock_rounds', 'restock_rounds.id', '=', 'restock_round_kits.round_id')
            ->join('kits', 'kits.id', '=', 'restock_round_kits.kit_id')
            ->whereIn('kit_id', $kitIds)->whereNull('ended_at')->whereNull('done_at')->orderBy('kits.code')->pluck('kits.code')->all()));
    }

    private static function keepPicks(string $roundId, Kit $kit, RestockPlan $plan): void
    {
        $picks = [];
        foreach ($plan->in() as $row) {
            $picks[$row->lotId] = ($picks[$row->lotId] ?? 0) + $row->quantity;
        }
        DB::table('restock_round_picks')->insert(array_map(static fn (string $lot, int $quantity): array => [
            'round_id' => $roundId, 'kit_id' => $kit->id, 'lot_id' => $lot, 'quantity' => $quantity,
        ], array_keys($picks), $picks));
    }

    /** A round on which no kit is left has ended. */
    private static function endWhereDone(string $roundId, CarbonInterface $at): void
    {
        if (! DB::table('restock_round_kits')->where('round_id', $roundId)->whereNull('done_at')->exists()) {
            DB::table('restock_rounds')->where('id', $roundId)->whereNull('ended_at')->update(['ended_at' => KitHistory::instant($at)]);
        }
    }
}
