<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\User;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Writes movements and keeps the projection of what lies where.
 *
 * Each movement's hash covers the one before it, so that a changed or removed row shows (ledger:verify).
 * The head of the chain is locked while rows are added: two writers take turns.
 */
final class Ledger
{
    /** The columns of a movement that its hash covers, in order. */
    public const COVERED = [
        'number', 'id', 'moved_at', 'lot_id', 'quantity',
        'from_kit_id', 'from_pocket_id', 'from_store_id', 'from_condition',
        'to_kit_id', 'to_pocket_id', 'to_store_id', 'to_condition',
        'reason', 'user_id', 'check_id', 'batch_id',
    ];

    /**
     * Within a transaction of the caller's.
     *
     * @param  list<Entry>  $entries
     *
     * @throws NotThere where more is taken from a place than lies there
     */
    public function record(array $entries, User $by, CarbonInterface $at, ?string $checkId = null, ?string $batchId = null): void
    {
        if ($entries === []) {
            return;
        }
        $head = Chain::Movements->lock();
        $rows = [];
        $kits = [];
        foreach ($entries as $entry) {
            $row = [
                'number' => $head->number + 1,
                'id' => Str::lower((string) Str::ulid($at)),
                'moved_at' => $at->copy()->utc()->format('Y-m-d H:i:s'),
                'lot_id' => $entry->lotId,
                'quantity' => $entry->quantity,
                'from_kit_id' => $entry->from?->kitId,
                'from_pocket_id' => $entry->from?->pocketId,
                'from_store_id' => $entry->from?->storeId,
                'from_condition' => $entry->from?->condition,
                'to_kit_id' => $entry->to?->kitId,
                'to_pocket_id' => $entry->to?->pocketId,
                'to_store_id' => $entry->to?->storeId,
                'to_condition' => $entry->to?->condition,
                'reason' => $entry->reason,
                'user_id' => $by->id,
                'check_id' => $checkId,
                'batch_id' => $batchId,
            ];
            $head = $head->after(self::covered($row));
            $rows[] = [...$row, 'hash' => $head->hash];
            foreach ([$entry->from?->kitId, $entry->to?->kitId] as $kit) {
                if ($kit !== null) {
                    $kits[$kit] = $head->number;
                }
            }
        }
        $this->project($entries);
        foreach (array_chunk($rows, 200) as $chunk) {
            DB::table('movements')->insert($chunk);
        }
        Chain::Movements->moveTo($head);
        foreach ($kits as $kit => $number) {
            DB::table('kits')->where('id', $kit)->update(['last_movement' => $number]);
        }
    }

    /** @param  array<string, mixed>  $row */
    public static function covered(array $row): string
    {
        return implode("\x1f", array_map(static fn (string $column): string => is_scalar($row[$column]) ? (string) $row[$column] : '', self::COVERED));
    }

    /**
     * @param  list<Entry>  $entries
     *
     * @throws NotThere
     */
    private function project(array $entries): void
    {
        $spots = [];
        $change = [];
        foreach ($entries as $entry) {
            foreach ([[$entry->from, -1], [$entry->to, 1]] as [$spot, $sign]) {
                if ($spot !== null) {
                    $key = "{$spot->whereabouts()} {$entry->lotId} {$spot->condition}";
                    $spots[$key] = [$spot, $entry->lotId];
                    $change[$key] = ($change[$key] ?? 0) + $sign * $entry->quantity;
                }
            }
        }
        $there = [];
        $held = DB::table('holdings')
            ->whereIn('whereabouts', array_values(array_unique(array_map(static fn (array $place): string => $place[0]->whereabouts(), $spots))))
            ->whereIn('lot_id', array_values(array_unique(array_map(static fn (array $place): string => $place[1], $spots))))
            ->lockForUpdate()->get();
        foreach ($held as $holding) {
            $there["{$holding->whereabouts} {$holding->lot_id} {$holding->condition}"] = $holding;
        }
        $kept = [];
        $gone = [];
        foreach ($change as $key => $by) {
            [$spot, $lot] = $spots[$key];
            $before = (int) ($there[$key]->quantity ?? 0);
            $after = $before + $by;
            if ($after < 0) {
                throw NotThere::soMany($lot, -$by, $before);
            }
            if ($after === 0) {
                $gone[] = $there[$key]->id ?? 0;
            } elseif ($by !== 0) {
                $kept[] = [
                    'whereabouts' => $spot->whereabouts(), 'kit_id' => $spot->kitId, 'pocket_id' => $spot->pocketId, 'store_id' => $spot->storeId,
                    'lot_id' => $lot, 'condition' => $spot->condition, 'quantity' => $after,
                ];
            }
        }
        DB::table('holdings')->upsert($kept, ['whereabouts', 'lot_id', 'condition'], ['quantity']);
        DB::table('holdings')->whereIn('id', $gone)->delete();
    }
}
