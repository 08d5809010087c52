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
        $root = Reader::of($document)->object(['format', 'as_of', 'until', 'needs', 'store']);
        $root->field('format')->format(self::FORMAT);
        $asOf = $root->field('as_of')->day();
        $until = $root->field('until')->day();
        $needs = self::needs($root->field('needs'));
        $store = self::store($root->field('store'));
        $root->finish();

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
    private static function needs(Reader $needs): array
    {
        $read = [];
        $seen = [];
        foreach ($needs->entries() as $need) {
            $need->object(['item', 'quantity'], ['dated', 'short_dated']);
            $read[] = new Need(
                $need->field('item')->textOnce($seen),
                $need->field('quantity')->wholeNumber(1),
                $need->field('dated')->flag(false),
                $need->field('short_dated')->flag(true),
            );
        }

        return $read;
    }

    /** @return list<StoredLot> */
    private static function store(Reader $store): array
    {
        $read = [];
        foreach ($store->entries() as $lot) {
            $lot->object(['item', 'quantity'], ['lot', 'expires']);
            $read[] = new StoredLot(
                $lot->field('item')->text(),
                $lot->field('lot')->textOrNull(),
                $lot->field('expires')->printedDateOrNull(),
                $lot->field('quantity')->wholeNumber(1),
            );
        }

        return $read;
    }
}
