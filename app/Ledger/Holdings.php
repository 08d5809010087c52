<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/** What is where now: the sum of all movements, kept so that it need not be added up each time. */
final class Holdings
{
    /**
     * Within the transaction that records the movements.
     *
     * @param  list<LotMovement>  $movements
     *
     * @throws PiecesAreNotThere where more is taken from a place than is there
     */
    public function apply(array $movements): void
    {
        $locations = [];
        $change = [];
        foreach ($movements as $movement) {
            foreach ([[$movement->from, -1], [$movement->to, 1]] as [$location, $sign]) {
                if ($location !== null) {
                    $key = self::key($location, $movement->lotId);
                    $locations[$key] = [$location, $movement->lotId];
                    $change[$key] = ($change[$key] ?? 0) + $sign * $movement->quantity;
                }
            }
        }
        $change = array_filter($change);
        if ($change === []) {
            return;
        }
        $there = $this->there(array_intersect_key($locations, $change));
        $kept = [];
        $gone = [];
        foreach ($change as $key => $by) {
            [$location, $lot] = $locations[$key];
            [$id, $before] = $there[$key] ?? [0, 0];
            if ($before + $by < 0) {
                throw PiecesAreNotThere::soMany($lot, $location, -$by, $before);
            }
            if ($before + $by === 0) {
                $gone[] = $id;
            } else {
                $kept[] = [
                    'whereabouts' => $location->whereabouts(),
                    // Pieces that are unaccounted for are in no kit: nothing that reads a kit's contents sees them.
                    'kit_id' => $location->isUnaccounted() ? null : $location->kitId,
                    'pocket_id' => $location->pocketId,
                    'store_id' => $location->storeId,
                    'lot_id' => $lot,
                    'condition' => $location->condition,
                    'quantity' => $before + $by,
                ];
            }
        }
        foreach (array_chunk($kept, 500) as $rows) {
            DB::table('holdings')->upsert($rows, ['whereabouts', 'lot_id', 'condition'], ['quantity']);
        }
        if ($gone !== []) {
            DB::table('holdings')->whereIn('id', $gone)->delete();
        }
    }

    /** How many pieces of the lot are there. */
    public function of(Location $location, string $lotId): int
    {
        return (int) DB::table('holdings')
            ->where('whereabouts', $location->whereabouts())
            ->where('lot_id', $lotId)
            ->where('condition', $location->condition)
            ->lockForUpdate()
            ->value('quantity');
    }

    /**
     * @param  array<string, array{Location, string}>  $locations
     * @return array<string, array{int, int}> the row and its pieces, locked, by key
     */
    private function there(array $locations): array
    {
        $there = [];
        $rows = DB::table('holdings')
            ->whereIn('whereabouts', array_values(array_unique(array_map(static fn (array $place): string => $place[0]->whereabouts(), $locations))))
            ->whereIn('lot_id', array_values(array_unique(array_map(static fn (array $place): string => $place[1], $locations))))
            ->orderBy('id')->lockForUpdate()->get(['id', 'whereabouts', 'lot_id', 'condition', 'quantity']);
        foreach ($rows as $row) {
            $there["{$row->whereabouts} {$row->lot_id} {$row->condition}"] = [(int) $row->id, (int) $row->quantity];
        }

        return $there;
    }

    private static function key(Location $location, string $lotId): string
    {
        return "{$location->whereabouts()} {$lotId} {$location->condition}";
    }
}
