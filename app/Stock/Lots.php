<?php

declare(strict_types=1);

namespace App\Stock;

use App\Checks\CountedRow;
use App\Judging\ContentRow;
use App\Judging\Words;
use App\Stock\Models\Lot;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Calendar\PrintedDate;

/** Finds the lots that rows name by number and printed date, and makes those that are said to be new. */
final class Lots
{
    /**
     * @param  list<CountedRow>  $rows
     * @return list<ContentRow>
     *
     * @throws ValidationException at each row whose item or lot is not known
     */
    public function resolve(array $rows): array
    {
        [$items, $known] = $this->read($rows);
        $errors = [];
        $resolved = [];
        foreach ($rows as $index => $row) {
            $item = $items[$row->itemCode] ?? null;
            if ($item === null) {
                $errors["rows.{$index}.item"] = "There is no item \"{$row->itemCode}\" in the catalogue.";

                continue;
            }
            $key = self::key($item, $row->lot, $row->expires);
            if (! isset($known[$key])) {
                // Pieces without a number and a date are no particular lot: any item may have such.
                if ($row->lot === null && $row->expires === null || $row->newLot) {
                    $known[$key] = $this->make($item, $row->lot, $row->expires);
                } else {
                    $errors["rows.{$index}.lot"] = self::notKnown($row);

                    continue;
                }
            }
            $resolved[] = new ContentRow($row->pocketId, $row->itemCode, $known[$key], $row->lot, $row->expires, $row->quantity, $row->condition);
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }

        return $resolved;
    }

    public function make(string $itemId, ?string $number, ?string $expires): string
    {
        $id = Str::lower((string) Str::ulid());
        DB::table('lots')->insert([
            'id' => $id, 'item_id' => $itemId, 'number' => $number, 'expires' => $expires,
            'good_until' => $expires === null ? null : (string) PrintedDate::of($expires)->lastGoodDay,
        ]);

        return $id;
    }

    /**
     * @param  list<CountedRow>  $rows
     * @return array{array<string, string>, array<string, string>} item ids by code, lot ids by key
     */
    private function read(array $rows): array
    {
        $codes = array_values(array_unique(array_map(static fn (CountedRow $row): string => $row->itemCode, $rows)));
        $items = DB::table('items')->whereIn('code', $codes)->pluck('id', 'code')->all();
        $known = [];
        foreach (DB::table('lots')->whereIn('item_id', array_values($items))->get() as $lot) {
            $known[self::key($lot->item_id, $lot->number, $lot->expires)] ??= $lot->id;
        }

        return [$items, $known];
    }

    private static function key(string $item, ?string $number, ?string $expires): string
    {
        return "{$item}\n".mb_strtoupper($number ?? '')."\n{$expires}";
    }

    private static function notKnown(CountedRow $row): string
    {
        $named = match (true) {
            $row->lot === null => 'No lot without a number',
            default => "No lot \"{$row->lot}\"",
        };
        $date = $row->expires === null ? ' without a date' : ', expires '.Words::date((string) PrintedDate::of($row->expires)->lastGoodDay).',';

        return "{$named}{$date} is on record for this item. Read the pack again; if it is printed so, say that the lot is new.";
    }
}
