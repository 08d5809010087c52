<?php

declare(strict_types=1);

namespace App\Stock;

use App\Catalogue\Prices;
use App\Judging\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Calendar\PrintedDate;

/** What is asked of goods when they come in: a date where every pack has one, one that has not passed, and a lot read twice where it differs. */
final class GoodsInward
{
    /** As many times as much is usual: goods so cheap may not be what they say they are. */
    private const FAR_BELOW = 2;

    /**
     * @param  list<ShelfRow>  $rows
     *
     * @throws ValidationException at each row
     */
    public function refuse(array $rows, string $today, Prices $prices, string $currency): void
    {
        $codes = array_values(array_unique(array_map(static fn (ShelfRow $row): string => $row->row->itemCode, $rows)));
        $items = DB::table('items')->whereIn('code', $codes)->get(['id', 'code', 'dated'])->keyBy('code');
        $numbers = array_values(array_filter(array_map(static fn (ShelfRow $row): ?string => $row->row->lot, $rows)));
        $known = DB::table('lots')->whereIn('item_id', $items->pluck('id')->all())->whereIn('number', $numbers)
            ->get(['item_id', 'number', 'expires', 'good_until'])
            ->groupBy(static fn ($lot): string => $lot->item_id.' '.mb_strtoupper((string) $lot->number));
        $errors = [];
        foreach ($rows as $at => $shelf) {
            $row = $shelf->row;
            $item = $items[$row->itemCode] ?? null;
            $last = $row->expires === null ? null : (string) PrintedDate::of($row->expires)->lastGoodDay;
            if ($item !== null && $item->dated && $row->expires === null) {
                $errors["rows.{$at}.expires"] = 'Every pack of this item carries a date. Type it as it is printed.';
            } elseif ($last !== null && $last < $today) {
                $errors["rows.{$at}.expires"] = 'This expired on '.Words::date($last)
                    .'. It does not go on the shelf: return it to the supplier, or dispose of it.';
            } elseif (! $shelf->isPriceChecked && $shelf->price !== null) {
                $usual = $prices->wholePacks($row->itemCode, max(1, $row->quantity));
                if ($usual !== null && $shelf->cost() * self::FAR_BELOW < $usual) {
                    $errors["rows.{$at}.price"] = self::tooCheap($shelf->cost(), $usual, $currency);
                }
            }
            if (! isset($errors["rows.{$at}.expires"]) && $item !== null && $row->lot !== null && ! $row->newLot) {
                $same = $known->get($item->id.' '.mb_strtoupper($row->lot));
                if ($same !== null && ! $same->contains(static fn ($lot): bool => $lot->good_until === $last)) {
                    $other = $same->first()->good_until ?? null;
                    $errors["rows.{$at}.lot"] = 'This lot is on record with another date'.($other === null ? ': none' : ', '.Words::date($other))
                        .'. Read the pack again; if it is printed so, say that the lot is new.';
                }
            }
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }
    }

    private static function tooCheap(int $cost, int $usual, string $currency): string
    {
        $say = static fn (int $minor): string => intdiv($minor, 100).'.'.str_pad((string) ($minor % 100), 2, '0', STR_PAD_LEFT)." {$currency}";

        return $say($cost)." for these pieces is less than half of what is usual ({$say($usual)}). Counterfeits are "
            .'sold so. Look at wrapper, print and seal, and ask the supplier where they come from; if they are genuine, tick that and record them.';
    }
}
