<?php

declare(strict_types=1);

namespace App\Judging;

use App\Support\Transaction;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Due\Band;
use stdClass;

/**
 * How many states there are of each verdict, how many kits are overdue and how many are on the worklist, however many there are:
 * triggers on `kit_states` append what each write adds and takes away, and here it is added up.
 */
final readonly class StateCounts
{
    /** @param  array<string, int>  $byVerdict */
    private function __construct(
        public array $byVerdict,
        public int $overdue,
        public int $onWorklist,
    ) {
    }

    public static function on(string $today): self
    {
        $byVerdict = [];
        [$overdue, $onWorklist] = [0, 0];
        foreach (self::sums() as $sum) {
            $kits = (int) $sum->kits;
            $byVerdict[$sum->verdict] = ($byVerdict[$sum->verdict] ?? 0) + $kits;
            $overdue += $sum->overdue_from !== null && $sum->overdue_from <= $today ? $kits : 0;
            $onWorklist += (int) $sum->band < Band::Nothing->value ? $kits : 0;
        }

        return new self(array_filter($byVerdict), $overdue, $onWorklist);
    }

    /** Puts together what was appended, so that there is little to add up: where it has become much. */
    public static function putTogether(int $much = 500): void
    {
        if (DB::table('state_counts')->count() < $much) {
            return;
        }
        Transaction::run(static function (): void {
            // Held as they are read: what is not committed yet is waited for, and nothing comes in between.
            $rows = DB::table('state_counts')->orderBy('id')->lockForUpdate()->get();
            $sums = [];
            foreach ($rows as $row) {
                $key = "{$row->verdict} {$row->band} {$row->overdue_from}";
                $sums[$key] ??= ['verdict' => $row->verdict, 'band' => $row->band, 'overdue_from' => $row->overdue_from, 'kits' => 0];
                $sums[$key]['kits'] += (int) $row->kits;
            }
            if (count($sums) < count($rows)) {
                self::replace(array_values(array_filter($sums, static fn (array $sum): bool => $sum['kits'] !== 0)));
            }
        });
    }

    /** Counts all states anew, where the sums were found to be wrong. */
    public static function countAnew(): void
    {
        Transaction::run(static function (): void {
            DB::table('kit_states')->orderBy('kit_id')->lockForUpdate()->pluck('kit_id');
            self::replace(array_values(DB::table('kit_states')->groupBy('verdict', 'band', 'overdue_from')
                ->get(['verdict', 'band', 'overdue_from', DB::raw('COUNT(*) AS kits')])
                ->map(static fn (stdClass $one): array => (array) $one)->all()));
        });
    }

    /** @param  list<array<string, mixed>>  $sums */
    private static function replace(array $sums): void
    {
        DB::table('state_counts')->delete();
        foreach (array_chunk($sums, 1000) as $some) {
            DB::table('state_counts')->insert($some);
        }
    }

    /**
     * @return list<string> what the sums say otherwise than the states
     *
     * @phpstan-impure
     */
    public static function faults(): array
    {
        $are = [];
        foreach (DB::table('kit_states')->groupBy('verdict', 'band', 'overdue_from')
            ->get(['verdict', 'band', 'overdue_from', DB::raw('COUNT(*) AS kits')]) as $one) {
            $are["{$one->verdict}, band {$one->band}, overdue from ".($one->overdue_from ?? 'no day')] = (int) $one->kits;
        }
        $said = [];
        foreach (self::sums() as $sum) {
            $said["{$sum->verdict}, band {$sum->band}, overdue from ".($sum->overdue_from ?? 'no day')] = (int) $sum->kits;
        }
        $faults = [];
        foreach (array_keys($are + $said) as $kind) {
            if (($are[$kind] ?? 0) !== ($said[$kind] ?? 0)) {
                $faults[] = sprintf('%s: counted as %d, and there are %d.', ucfirst($kind), $said[$kind] ?? 0, $are[$kind] ?? 0);
            }
        }

        return $faults;
    }

    /** @return Collection<int, stdClass> */
    private static function sums(): Collection
    {
        return DB::table('state_counts')->groupBy('verdict', 'band', 'overdue_from')
            ->get(['verdict', 'band', 'overdue_from', DB::raw('SUM(kits) AS kits')]);
    }
}
