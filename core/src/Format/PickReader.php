<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Pick\Need;
use Sarcina\Core\Pick\Pick;
use Sarcina\Core\Pick\PickList;
use Sarcina\Core\Pick\StoredLot;

/** Reads a `sarcina.pick/1` document and writes its answer, `sarcina.pick-list/1` (rules.md, pick). */
final class PickReader
{
    public const FORMAT = 'sarcina.pick/1';

    public const ANSWER = 'sarcina.pick-list/1';

    /** @throws InvalidDocument with every error that was found and its path */
    public static function read(mixed $document): PickList
    {
        $in = new Reader;
        $root = $in->object($document, '', ['format', 'as_of', 'until', 'needs', 'store']) ?? [];
        if (array_key_exists('format', $root)) {
            $in->format($root['format'], '', self::FORMAT);
        }
        $asOf = array_key_exists('as_of', $root) ? $in->day($root['as_of'], '/as_of') : null;
        $until = array_key_exists('until', $root) ? $in->day($root['until'], '/until') : null;
        $needs = array_key_exists('needs', $root) ? self::needs($in, $root['needs']) : [];
        $store = array_key_exists('store', $root) ? self::store($in, $root['store']) : [];
        $in->finish();
        \assert($asOf !== null && $until !== null);

        return PickList::of($asOf, $until, $needs, $store);
    }

    /** @return array{format: string, picks: list<array<string, mixed>>, missing: list<array<string, mixed>>} */
    public static function answer(PickList $list): array
    {
        return [
            'format' => self::ANSWER,
            'picks' => array_map(static fn (Pick $pick): array => [
                'item' => $pick->from->item,
                'lot' => $pick->from->lot,
                'quantity' => $pick->quantity,
                'short_dated' => $pick->shortDated,
            ], $list->picks),
            'missing' => array_map(static fn (Need $need): array => [
                'item' => $need->item,
                'quantity' => $need->quantity,
            ], $list->missing),
        ];
    }

    /** @return list<Need> */
    private static function needs(Reader $in, mixed $value): array
    {
        $needs = [];
        $seen = [];
        foreach ($in->list($value, '/needs') as $index => $entry) {
            $path = "/needs/{$index}";
            $need = $in->object($entry, $path, ['item', 'quantity'], ['dated', 'short_dated']) ?? [];
            $item = array_key_exists('item', $need) ? $in->text($need['item'], "{$path}/item") : '';
            $in->onlyOnce($item, "{$path}/item", $seen);
            $needs[] = new Need(
                $item,
                array_key_exists('quantity', $need) ? $in->wholeNumber($need['quantity'], "{$path}/quantity", 1) : 1,
                array_key_exists('dated', $need) ? $in->flag($need['dated'], "{$path}/dated") : false,
                array_key_exists('short_dated', $need) ? $in->flag($need['short_dated'], "{$path}/short_dated") : true,
            );
        }

        return $needs;
    }

    /** @return list<StoredLot> */
    private static function store(Reader $in, mixed $value): array
    {
        $store = [];
        foreach ($in->list($value, '/store') as $index => $entry) {
            $path = "/store/{$index}";
            $lot = $in->object($entry, $path, ['item', 'quantity'], ['lot', 'expires']) ?? [];
            $store[] = new StoredLot(
                array_key_exists('item', $lot) ? $in->text($lot['item'], "{$path}/item") : '',
                array_key_exists('lot', $lot) ? $in->textOrNull($lot['lot'], "{$path}/lot") : null,
                array_key_exists('expires', $lot) ? $in->printedDateOrNull($lot['expires'], "{$path}/expires") : null,
                array_key_exists('quantity', $lot) ? $in->wholeNumber($lot['quantity'], "{$path}/quantity", 1) : 1,
            );
        }

        return $store;
    }
}
