<?php

declare(strict_types=1);

namespace App\Stock;

use App\Checks\CountedRow;
use App\Judging\ContentRow;
use App\Judging\Words;
use App\Stock\Models\Lot;
use App\Support\DoneAtTheSameMoment;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Calendar\PrintedDate;

/** Finds the lots that rows name by number and printed date, and makes those that are said to be new. */
final class Lots
{
    private const CHUNK = 500;

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
            $key = LotKey::of($item, $row->lot, $row->expires)->text();
            if (! isset($known[$key])) {
                // Pieces without a number and a date are no particular lot: any item may have such.
                if ($row->lot === null && $row->expires === null || $row->newLot) {
                    $known[$key] = [$this->make($item, $row->lot, $row->expires), $row->lot, false];
                } else {
                    $errors["rows.{$index}.lot"] = self::notKnown($row);

                    continue;
                }
            }
            // The number as it is on record, however it was typed.
            [$id, $number, $isRecalled] = $known[$key];
            $resolved[] = new ContentRow(
                $row->pocketId, $row->itemCode, $id, $number, $row->expires, $row->quantity, $row->condition, $isRecalled,
            );
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }

        return $resolved;
    }

    /** The lot, made where it is not there yet. */
    public function findOrMake(string $itemId, ?string $number, ?string $expires): string
    {
        $id = DB::table('lots')->where(LotKey::of($itemId, $number, $expires)->columns())->value('id');

        return is_string($id) ? $id : $this->make($itemId, $number, $expires);
    }

    /** @throws DoneAtTheSameMoment where somebody else made it meanwhile: it is found then */
    public function make(string $itemId, ?string $number, ?string $expires): string
    {
        $id = Str::lower((string) Str::ulid());
        try {
            DB::table('lots')->insert([
                'id' => $id, 'number' => $number, 'expires' => $expires, ...LotKey::of($itemId, $number, $expires)->columns(),
                'good_until' => $expires === null ? null : (string) PrintedDate::of($expires)->lastGoodDay,
            ]);
        } catch (UniqueConstraintViolationException) {
            throw new DoneAtTheSameMoment;
        }

        return $id;
    }

    /**
     * @param  list<CountedRow>  $rows
     * @return array{array<string, string>, array<string, array{string, string|null, bool}>} item ids by code; of lots, by key, the id, the number,
     *     and whether it is recalled
     */
    private function read(array $rows): array
    {
        $codes = array_values(array_unique(array_map(static fn (CountedRow $row): string => $row->itemCode, $rows)));
        $items = DB::table('items')->whereIn('code', $codes)->pluck('id', 'code')->all();
        $keys = [];
        foreach ($rows as $row) {
            if (isset($items[$row->itemCode])) {
                $key = LotKey::of($items[$row->itemCode], $row->lot, $row->expires);
                $keys[$key->text()] = $key;
            }
        }
        $known = [];
        foreach (array_chunk($keys, self::CHUNK) as $some) {
            $lots = DB::table('lots')
                ->whereRaw(
                    '(item_id, number_key, expires_key) IN ('.implode(', ', array_fill(0, count($some), '(?, ?, ?)')).')',
                    array_merge(...array_map(static fn (LotKey $key): array => array_values($key->columns()), $some)),
                )
                ->get(['id', 'item_id', 'number', 'number_key', 'expires_key', 'recalled_on']);
            foreach ($lots as $lot) {
                $known[LotKey::of($lot->item_id, $lot->number_key, $lot->expires_key)->text()] = [
                    $lot->id, $lot->number, $lot->recalled_on !== null,
                ];
            }
        }

        return [$items, $known];
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
