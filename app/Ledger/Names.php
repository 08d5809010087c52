<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/** How lots and pockets read on the day on which something is recorded. What is not known yet is read at once, in two queries. */
final class Names
{
    /** @var array<string, LotName> by id */
    private array $lots = [];

    /** @var array<string, string> by id */
    private array $pockets = [];

    public function rememberLot(string $id, LotName $name): void
    {
        $this->lots[$id] = $name;
    }

    public function rememberPocket(string $id, string $name): void
    {
        $this->pockets[$id] = $name;
    }

    /** @param  list<LotMovement>  $movements */
    public function read(array $movements): void
    {
        $lots = [];
        $pockets = [];
        $kits = [];
        foreach ($movements as $movement) {
            $lots[] = $movement->lotId;
            $kits = [...$kits, ...array_filter([$movement->from?->kitId, $movement->to?->kitId])];
            $pockets = [...$pockets, ...array_filter([$movement->from?->pocketId, $movement->to?->pocketId])];
        }
        $lots = array_values(array_diff(array_unique($lots), array_keys($this->lots)));
        $pockets = array_values(array_diff(array_unique($pockets), array_keys($this->pockets)));
        foreach (array_chunk($lots, 1000) as $ids) {
            foreach (
                DB::table('lots')
                    ->join('items', 'items.id', '=', 'lots.item_id')
                    ->whereIn('lots.id', $ids)
                    ->get(['lots.id', 'lots.number', 'lots.expires', 'items.code', 'items.name']) as $lot
            ) {
                $this->lots[$lot->id] = new LotName($lot->code, $lot->name, $lot->number, $lot->expires);
            }
        }
        if ($pockets !== []) {
            $this->pockets += $this->pocketsAsIn($pockets, array_values(array_unique($kits)));
        }
    }

    /**
     * As they are called in the editions that these kits keep; else in the latest that has them.
     *
     * @param  list<string>  $pockets
     * @param  list<string>  $kits
     * @return array<string, string> by id
     */
    private function pocketsAsIn(array $pockets, array $kits): array
    {
        $kept = DB::table('kits')->whereIn('id', $kits)->pluck('design_edition_id')->all();
        $names = [];
        $rows = DB::table('compartments')->join('design_editions', 'design_editions.id', '=', 'compartments.design_edition_id')
            ->whereIn('pocket_id', $pockets)->orderBy('design_editions.number')->get(['pocket_id', 'name', 'design_edition_id']);
        foreach ([false, true] as $isKept) {
            foreach ($rows as $row) {
                if (in_array($row->design_edition_id, $kept, true) === $isKept) {
                    $names[$row->pocket_id] = $row->name;
                }
            }
        }

        return $names;
    }

    public function lot(string $id): LotName
    {
        return $this->lots[$id] ?? throw new \OutOfBoundsException("There is no lot {$id}.");
    }

    public function pocket(?string $id): ?string
    {
        return $id === null ? null : $this->pockets[$id] ?? throw new \OutOfBoundsException("There is no pocket {$id}.");
    }
}
