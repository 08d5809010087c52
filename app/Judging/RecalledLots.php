<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Facades\DB;

/** Marks rows of recalled lots where they come from somebody's count, and not from the record. */
final class RecalledLots
{
    /**
     * @param  list<ContentRow>  $rows
     * @return list<ContentRow>
     */
    public static function marked(array $rows): array
    {
        $recalled = [];
        $lots = DB::table('lots')->join('items', 'items.id', '=', 'lots.item_id')->whereNotNull('recalled_on');
        foreach ($lots->get(['items.code', 'number', 'expires']) as $lot) {
            $recalled[self::key($lot->code, $lot->number, $lot->expires)] = true;
        }

        return $recalled === [] ? $rows : array_map(static fn (ContentRow $row): ContentRow => new ContentRow(
            $row->pocketId, $row->itemCode, $row->lotId, $row->lot, $row->expires, $row->quantity, $row->condition,
            isset($recalled[self::key($row->itemCode, $row->lot, $row->expires)]),
        ), $rows);
    }

    private static function key(string $item, ?string $number, ?string $expires): string
    {
        return "{$item} {$expires} ".mb_strtoupper((string) $number);
    }
}
