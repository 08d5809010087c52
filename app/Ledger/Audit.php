<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/** Goes through all that was recorded and says what was changed, removed or does not add up. */
final class Audit
{
    private int $movements = 0;

    private int $checks = 0;

    public function movements(): int
    {
        return $this->movements;
    }

    public function checks(): int
    {
        return $this->checks;
    }

    /** @return list<string> in words; none where all is whole */
    public function faults(): array
    {
        return [...$this->movementFaults(), ...$this->checkFaults(), ...$this->projectionFaults()];
    }

    /** @return int how many holdings differed */
    public function rebuild(): int
    {
        return DB::transaction(function (): int {
            Chain::Movements->lock();
            $changes = $this->differences();
            foreach ($changes as [$key, $spot, , $reckoned]) {
                [$whereabouts, $lot, $condition] = explode(' ', $key);
                DB::table('holdings')->where('whereabouts', $whereabouts)->where('lot_id', $lot)->where('condition', $condition)->delete();
                if ($reckoned > 0) {
                    DB::table('holdings')->insert([...$spot, 'whereabouts' => $whereabouts, 'lot_id' => $lot, 'condition' => $condition, 'quantity' => $reckoned]);
                }
            }

            return count($changes);
        });
    }

    /** @return list<string> */
    private function movementFaults(): array
    {
        $link = Link::beforeAll();
        foreach (DB::table('movements')->orderBy('number')->lazyById(2000, 'number') as $row) {
            /** @var array<string, mixed> $values */
            $values = (array) $row;
            if ((int) $row->number !== $link->number + 1) {
                return ['Movement '.($link->number + 1).' is missing: a row of the ledger was removed.'];
            }
            $link = $link->after(Ledger::covered($values));
            if ($link->hash !== $row->hash) {
                return ["Movement {$row->number} is not as it was written: it or one before it was changed."];
            }
            $this->movements++;
        }

        return $this->headFaults(Chain::Movements, $link, 'movement');
    }

    /** @return list<string> */
    private function checkFaults(): array
    {
        $link = Link::beforeAll();
        foreach (DB::table('checks')->orderBy('number')->lazyById(500, 'number') as $row) {
            /** @var array<string, mixed> $values */
            $values = (array) $row;
            if ((int) $row->number !== $link->number + 1) {
                return ['Check '.($link->number + 1).' is missing: it was removed.'];
            }
            $parts = array_map(static fn (string $table): array => array_values(array_map(
                static fn (object $part): array => (array) $part,
                DB::table($table)->where('check_number', $row->number)->orderBy('position')->get()->all(),
            )), ['check_rows', 'check_lines', 'check_findings']);
            $link = $link->after(CheckSeal::covered($values, ...$parts));
            if ($link->hash !== $row->hash) {
                return ["Check {$row->number} is not as it was signed: it, its rows or one before it was changed."];
            }
            $this->checks++;
        }

        return $this->headFaults(Chain::Checks, $link, 'check');
    }

    /** @return list<string> */
    private function headFaults(Chain $chain, Link $last, string $what): array
    {
        $head = $chain->head();

        return match (true) {
            $head->number > $last->number => ["The last {$what} on record is {$last->number}, but {$head->number} were written: rows were removed at the end."],
            $head->number < $last->number || $head->hash !== $last->hash => ["The chain does not end where it was left: a {$what} was added past it."],
            default => [],
        };
    }

    /** @return list<string> */
    private function projectionFaults(): array
    {
        return array_map(static fn (array $difference): string => "{$difference[0]}: {$difference[2]} recorded as lying there, {$difference[3]} by the ledger.", $this->differences());
    }

    /** @return list<array{string, array<string, string|null>, int, int}> key, place, held, reckoned */
    private function differences(): array
    {
        $reckoned = [];
        $spots = [];
        foreach ([['to', 1], ['from', -1]] as [$end, $sign]) {
            $sums = DB::table('movements')
                ->where(fn ($query) => $query->whereNotNull("{$end}_pocket_id")->orWhereNotNull("{$end}_store_id"))
                ->groupBy("{$end}_kit_id", "{$end}_pocket_id", "{$end}_store_id", "{$end}_condition", 'lot_id')
                ->selectRaw("{$end}_kit_id AS kit_id, {$end}_pocket_id AS pocket_id, {$end}_store_id AS store_id, {$end}_condition AS held_condition, lot_id, SUM(quantity) AS quantity")->get();
            foreach ($sums as $sum) {
                $key = ($sum->store_id ?? "{$sum->kit_id}/{$sum->pocket_id}")." {$sum->lot_id} {$sum->held_condition}";
                $spots[$key] = ['kit_id' => $sum->kit_id, 'pocket_id' => $sum->pocket_id, 'store_id' => $sum->store_id];
                $reckoned[$key] = ($reckoned[$key] ?? 0) + $sign * (int) $sum->quantity;
            }
        }
        $held = [];
        foreach (DB::table('holdings')->get() as $row) {
            $key = "{$row->whereabouts} {$row->lot_id} {$row->condition}";
            $held[$key] = (int) $row->quantity;
            $spots[$key] ??= ['kit_id' => $row->kit_id, 'pocket_id' => $row->pocket_id, 'store_id' => $row->store_id];
        }
        $differences = [];
        foreach ($spots as $key => $spot) {
            if (($held[$key] ?? 0) !== ($reckoned[$key] ?? 0)) {
                $differences[] = [$key, $spot, $held[$key] ?? 0, $reckoned[$key] ?? 0];
            }
        }

        return $differences;
    }
}
