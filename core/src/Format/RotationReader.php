<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Rotate\Held;
use Sarcina\Core\Rotate\ItemRotation;
use Sarcina\Core\Rotate\Move;
use Sarcina\Core\Rotate\Rate;
use Sarcina\Core\Rotate\Rotation;
use Sarcina\Core\Rotate\Used;

/** Reads a `sarcina.rotation/1` document and writes its answer, `sarcina.rotation-plan/1` (rules.md, rotate). */
final class RotationReader
{
    public const FORMAT = 'sarcina.rotation/1';

    public const ANSWER = 'sarcina.rotation-plan/1';

    /** @throws InvalidDocument with every error that was found and its path */
    public static function read(mixed $document): Rotation
    {
        $root = Reader::of($document)->object(['format', 'as_of', 'items', 'holdings', 'uses']);
        $root->field('format')->format(self::FORMAT);
        $asOf = $root->field('as_of')->day();
        [$items, $known] = [[], []];
        foreach ($root->field('items')->entries() as $item) {
            $item->object(['item', 'value']);
            $items[] = [$item->field('item')->textOnce($known), $item->field('value')->wholeNumber(0)];
        }
        $held = self::held($root->field('holdings'), $known);
        $used = self::used($root->field('uses'), $known);
        $root->finish();

        return Rotation::of($asOf, $items, $held, $used);
    }

    /** @return array<string, mixed> */
    public static function answer(Rotation $rotation): array
    {
        return [
            'format' => self::ANSWER,
            'saved' => $rotation->saved(),
            'value' => $rotation->value(),
            'moves' => array_map(static fn (Move $move): array => [
                'item' => $move->item, 'lot' => $move->lot, 'expires' => $move->expires?->text,
                'from' => $move->from, 'to' => $move->to, 'quantity' => $move->quantity,
            ], $rotation->moves()),
            'wasted' => array_values(array_map(
                static fn (ItemRotation $one): array => ['item' => $one->item, 'quantity' => $one->wasted],
                array_filter($rotation->items, static fn (ItemRotation $one): bool => $one->wasted > 0),
            )),
        ];
    }

    /**
     * @param  array<string, string>  $known  items, as textOnce keeps them
     * @return list<Held>
     */
    private static function held(Reader $holdings, array $known): array
    {
        $held = [];
        foreach ($holdings->entries() as $row) {
            $row->object(['place', 'item', 'quantity'], ['lot', 'expires', 'fixed']);
            $held[] = new Held(
                $row->field('place')->text(),
                self::item($row->field('item'), $known),
                $row->field('lot')->textOrNull(),
                $row->field('expires')->printedDateOrNull(),
                $row->field('quantity')->wholeNumber(1),
                $row->field('fixed')->flag(false),
            );
        }

        return $held;
    }

    /**
     * @param  array<string, string>  $known
     * @return list<Used>
     */
    private static function used(Reader $uses, array $known): array
    {
        [$used, $seen] = [[], []];
        foreach ($uses->entries() as $row) {
            $row->object(['place', 'item', 'per_day']);
            $one = new Used(
                $row->field('place')->text(), self::item($row->field('item'), $known), Rate::of($row->field('per_day')->decimal()),
            );
            $pair = serialize([$one->place, $one->item]);
            if (isset($seen[$pair])) {
                $row->refuse("How fast \"{$one->place}\" uses \"{$one->item}\" is given twice; it must be given once.");
            }
            $seen[$pair] = true;
            $used[] = $one;
        }

        return $used;
    }

    /** @param  array<string, string>  $known */
    private static function item(Reader $item, array $known): string
    {
        $code = $item->text();
        if ($code !== '' && ! isset($known['.'.$code])) {
            $item->refuse("The item \"{$code}\" does not stand in items.");
        }

        return $code;
    }
}
