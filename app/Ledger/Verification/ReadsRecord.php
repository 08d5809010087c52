<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

use App\Ledger\Part;
use Generator;
use Illuminate\Support\Facades\DB;

/** Reads the whole record in its order, some hundred operations at a time. */
final class ReadsRecord
{
    private const AT_ONCE = 400;

    /** @return Generator<int, RecordedOperation> */
    public function operations(): Generator
    {
        $after = 0;
        do {
            $rows = DB::table('operations')->where('number', '>', $after)->orderBy('number')->limit(self::AT_ONCE)->get();
            if ($rows->isEmpty()) {
                return;
            }
            $last = (int) $rows->last()->number;
            $parts = $this->parts($after + 1, $last);
            foreach ($rows as $row) {
                $number = (int) $row->number;
                yield new RecordedOperation($number, (array) $row, $parts[$number] ?? []);
            }
            $after = $last;
        } while (true);
    }

    /** @return array<int, array<string, list<array<string, mixed>>>> by operation and table */
    private function parts(int $from, int $to): array
    {
        $parts = [];
        foreach (Part::cases() as $part) {
            foreach (
                DB::table($part->value)
                    ->whereBetween('operation_number', [$from, $to])
                    ->orderBy('operation_number')
                    ->orderBy('position')
                    ->get() as $row
            ) {
                $parts[(int) $row->operation_number][$part->value][] = (array) $row;
            }
        }

        return $parts;
    }
}
