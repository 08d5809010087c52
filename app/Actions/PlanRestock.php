<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\Catalogue;
use App\Judging\Judged;
use App\Models\Store;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Pick\Need;
use Sarcina\Core\Pick\PickList;
use Sarcina\Core\Pick\StoredLot;

/**
 * What to take out of a kit and what to put in from a store, and in which pocket: what the core asks for,
 * by the `pick` rule. Where the store lacks the first choice, the line's next choices stand in.
 */
final class PlanRestock
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function __invoke(Judged $judged, Store $store): RestockPlan
    {
        $stock = $this->stock($store);
        $wanted = $this->wanted($judged);
        $puts = [];
        $missing = [];
        $left = array_map(static fn (array $row): int => $row['lot']->quantity, $stock);
        foreach ($wanted as $want) {
            $pieces = $want['pieces'];
            foreach ($this->choices($judged, $want, $stock) as $code) {
                if ($pieces <= 0) {
                    break;
                }
                // Pieces of another choice stand for as many of the first: one serves the line as well as one.
                $pieces = $this->pick($judged, $want, $code, $pieces, $stock, $left, $puts);
            }
            if ($pieces > 0) {
                $missing[] = ['item' => $want['item'], 'what' => $want['item'] === null ? $want['need'] : $this->catalogue->name($want['item']), 'line' => $want['line'], 'quantity' => $pieces];
            }
        }

        return new RestockPlan($this->takeOut($judged), $puts, $missing);
    }

    /**
     * What the lines and companions want, critical lines first.
     *
     * @return list<array{line: string|null, need: string, item: string|null, pieces: int, pocket: string|null, critical: bool, any_of: list<string>}>
     */
    private function wanted(Judged $judged): array
    {
        $wanted = [];
        foreach ($judged->judgement->restock as $restock) {
            $line = $judged->plan->line($restock->line);
            $wanted[] = ['line' => $line->code(), 'need' => $line->need, 'item' => $restock->item, 'pieces' => $restock->quantity, 'pocket' => $line->pocketId, 'critical' => $line->asked->rank === Rank::Critical, 'any_of' => []];
        }
        usort($wanted, static fn (array $one, array $other): int => $other['critical'] <=> $one['critical']);
        $put = [];
        foreach ($wanted as $want) {
            if ($want['item'] !== null) {
                $put[$want['item']] = ($put[$want['item']] ?? 0) + $want['pieces'];
            }
        }
        foreach ($judged->judgement->missingCompanions as $companion) {
            $coming = array_sum(array_intersect_key($put, array_flip($companion->anyOf)));
            $pieces = $companion->pieces - $coming;
            if ($pieces > 0) {
                $wanted[] = [
                    'line' => null, 'need' => 'Beside '.implode(', ', array_map($this->catalogue->name(...), $companion->for)), 'item' => $companion->anyOf[0], 'pieces' => $pieces,
                    'pocket' => $this->pocketOf($judged, $companion->for[0]), 'critical' => false, 'any_of' => $companion->anyOf,
                ];
            }
        }

        return $wanted;
    }

    private function pocketOf(Judged $judged, string $item): ?string
    {
        foreach ($judged->rows as $row) {
            if ($row->itemCode === $item) {
                return $row->pocketId;
            }
        }

        return array_key_first($judged->plan->pockets);
    }

    /**
     * Item codes that serve the want, best first: what the core named, then what else the line accepts of what the store has.
     *
     * @param  array{line: string|null, need: string, item: string|null, pieces: int, pocket: string|null, critical: bool, any_of: list<string>}  $want
     * @param  list<array{id: string, lot: StoredLot}>  $stock
     * @return list<string>
     */
    private function choices(Judged $judged, array $want, array $stock): array
    {
        $first = $want['item'] === null ? [] : [$want['item']];
        if ($want['line'] === null) {
            return array_values(array_unique([...$first, ...$want['any_of']]));
        }
        $assignment = $judged->judgement->assignment;
        $index = $this->lineIndex($assignment, $want['line']);
        if ($assignment->list->lines[$index]->total !== null) {
            // Other rolls have other lengths: only what the core reckoned with adds up.
            return $first;
        }
        $others = [];
        foreach ($this->catalogue->items(array_values(array_unique(array_map(static fn (array $row): string => $row['lot']->item, $stock)))) as $item) {
            $preference = $assignment->list->preferencesFor($item)[$index] ?? null;
            if ($preference !== null && $item->supersededBy === null && $assignment->isUsable($item)) {
                $others[$item->code] = $preference;
            }
        }
        asort($others);

        return array_values(array_unique([...$first, ...array_map(strval(...), array_keys($others))]));
    }

    /**
     * @param  array{line: string|null, need: string, item: string|null, pieces: int, pocket: string|null, critical: bool, any_of: list<string>}  $want
     * @param  list<array{id: string, lot: StoredLot}>  $stock
     * @param  array<int, int>  $left  pieces of each row of the stock that are not picked yet
     * @param  list<array{line: string|null, need: string, pocket_id: string|null, item: string, lot_id: string, lot: string|null, expires: string|null, quantity: int, short_dated: bool, stands_in: bool}>  $puts
     * @return int how many are still wanted
     */
    private function pick(Judged $judged, array $want, string $code, int $pieces, array $stock, array &$left, array &$puts): int
    {
        $rows = array_keys(array_filter($stock, static fn (array $row, int $index): bool => $row['lot']->item === $code && $left[$index] > 0, ARRAY_FILTER_USE_BOTH));
        $policy = $judged->judgement->assignment->policy;
        $dated = (bool) ($this->catalogue->item($code)->dated ?? false);
        $list = PickList::of(
            $judged->judgement->assignment->asOf,
            $policy->goodUntil(),
            [new Need($code, $pieces, $dated, ! $want['critical'])],
            array_map(static fn (int $row): StoredLot => new StoredLot($code, $stock[$row]['lot']->lot, $stock[$row]['lot']->expires, $left[$row]), $rows),
        );
        foreach ($list->picks as $pick) {
            $row = $rows[$pick->row];
            $left[$row] -= $pick->quantity;
            $pieces -= $pick->quantity;
            $puts[] = [
                'line' => $want['line'], 'need' => $want['need'], 'pocket_id' => $want['pocket'], 'item' => $code, 'lot_id' => $stock[$row]['id'],
                'lot' => $pick->from->lot, 'expires' => $pick->from->expires?->text, 'quantity' => $pick->quantity,
                'short_dated' => $pick->shortDated, 'stands_in' => $want['item'] !== null && $want['item'] !== $code,
            ];
        }

        return $pieces;
    }

    /**
     * What must not stay: expired, opened, damaged, soiled, failed, excluded or without its date; and what expires before the next check.
     *
     * @return list<array{pocket_id: string, item: string, lot_id: string, lot: string|null, expires: string|null, condition: string, quantity: int, because: string, to: string}>
     */
    private function takeOut(Judged $judged): array
    {
        $kinds = ['expired', 'opened', 'damaged', 'soiled', 'failed', 'excluded', 'date_unknown', 'expires_early'];
        $out = [];
        foreach ($judged->judgement->findings as $finding) {
            $row = $finding->index;
            if ($row === null || ! in_array($finding->kind->value, $kinds, true) || isset($out[$row])) {
                continue;
            }
            if ($finding->kind->value === 'expires_early' && $finding->severity->value === 'note') {
                continue;
            }
            $held = $judged->rows[$row];
            $out[$row] = [
                'pocket_id' => $held->pocketId, 'item' => $held->itemCode, 'lot_id' => (string) $held->lotId, 'lot' => $held->lot, 'expires' => $held->expires,
                'condition' => $held->condition, 'quantity' => $held->quantity, 'because' => $finding->kind->value,
                // Still good, only not for long: it may serve where it is used sooner.
                'to' => in_array($finding->kind->value, ['expires_early', 'excluded'], true) ? 'store' : 'discard',
            ];
        }

        return array_values($out);
    }

    private function lineIndex(Assignment $assignment, string $code): int
    {
        foreach ($assignment->list->lines as $index => $line) {
            if ($line->id === $code) {
                return $index;
            }
        }

        throw new \OutOfBoundsException("There is no line {$code}.");
    }

    /** @return list<array{id: string, lot: StoredLot}> good pieces in the store, in the order they came */
    private function stock(Store $store): array
    {
        $held = DB::table('holdings')
            ->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id')
            ->where('holdings.store_id', $store->id)->where('holdings.condition', 'good')
            ->orderBy('holdings.id')->get(['holdings.lot_id', 'holdings.quantity', 'lots.number', 'lots.expires', 'items.code']);

        return array_values($held->map(static fn (object $row): array => [
            'id' => $row->lot_id,
            'lot' => new StoredLot($row->code, $row->number, $row->expires === null ? null : PrintedDate::of($row->expires), (int) $row->quantity),
        ])->all());
    }
}
