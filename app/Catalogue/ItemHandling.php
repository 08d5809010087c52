<?php

declare(strict_types=1);

namespace App\Catalogue;

use Illuminate\Support\Facades\DB;
use Sarcina\Core\Packing\Handling;
use Sarcina\Core\Packing\Layer;
use stdClass;

/**
 * How an item is handled when one packs, what it is taken for, and what it is called elsewhere: the same in requests, files and tables.
 *
 * @phpstan-type HandlingData array{
 *     layer: string|null, start_minutes: int|null, staging: string|null, unwraps: bool, keep_dry: bool, has_latex: bool, bulk_ml: int|null,
 *     comes_back: bool, trains_again: bool,
 *     told_from: list<array{item: string, by: string|null}>, names: list<array{name: string, region: string|null}>,
 * }
 */
final class ItemHandling
{
    /** Columns of the table of items. */
    public const COLUMNS = ['layer', 'start_minutes', 'staging', 'unwraps', 'keep_dry', 'has_latex', 'bulk_ml', 'comes_back', 'trains_again'];

    /** Where nothing is said. */
    public const NONE = [
        'layer' => null, 'start_minutes' => null, 'staging' => null, 'unwraps' => false, 'keep_dry' => false, 'has_latex' => false, 'bulk_ml' => null,
        'comes_back' => false, 'trains_again' => false, 'told_from' => [], 'names' => [],
    ];

    /** @return array<string, list<mixed>> */
    public static function rules(): array
    {
        return [
            'handling' => ['array'],
            'handling.layer' => ['nullable', 'in:contact,absorb,hold'],
            'handling.start_minutes' => ['nullable', 'integer:strict', 'between:1,240'],
            'handling.staging' => ['nullable', 'string', 'max:120'],
            'handling.unwraps' => ['boolean:strict'],
            'handling.keep_dry' => ['boolean:strict'],
            'handling.has_latex' => ['boolean:strict'],
            'handling.bulk_ml' => ['nullable', 'integer:strict', 'between:1,100000'],
            'handling.comes_back' => ['boolean:strict'],
            'handling.trains_again' => ['boolean:strict'],
            'handling.told_from' => ['array', 'max:8'],
            'handling.told_from.*.item' => ['required', 'string', 'max:60', 'distinct'],
            'handling.told_from.*.by' => ['nullable', 'string', 'max:120'],
            'handling.names' => ['array', 'max:12'],
            'handling.names.*.name' => ['required', 'string', 'max:80', 'distinct:ignore_case'],
            'handling.names.*.region' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'handling.start_minutes.*' => 'Enter the minutes before it works, 1 to 240, or leave it out.',
            'handling.bulk_ml.*' => 'Enter what a piece takes up in a pocket in millilitres, 1 to 100,000, or leave it out.',
            'handling.told_from.*.item.required' => 'Choose the item that it is taken for.',
            'handling.names.*.name.required' => 'Write the other name, or remove the row.',
            'handling.names.*.name.distinct' => 'This name is given twice.',
        ];
    }

    /**
     * @param  list<string>  $items  ids
     * @return array<string, HandlingData> by item
     */
    public static function read(array $items): array
    {
        $all = [];
        foreach (DB::table('items')->whereIn('id', $items)->get(['id', ...self::COLUMNS]) as $row) {
            $all[(string) $row->id] = [
                'layer' => $row->layer, 'start_minutes' => self::figure($row->start_minutes), 'staging' => $row->staging,
                'unwraps' => (bool) $row->unwraps, 'keep_dry' => (bool) $row->keep_dry, 'has_latex' => (bool) $row->has_latex,
                'bulk_ml' => self::figure($row->bulk_ml), 'comes_back' => (bool) $row->comes_back, 'trains_again' => (bool) $row->trains_again,
                'told_from' => [], 'names' => [],
            ];
        }
        foreach (DB::table('item_told_from')->join('items', 'items.id', '=', 'item_told_from.other_id')->whereIn('item_id', $items)
            ->orderBy('items.code')->get(['item_id', 'items.code', 'by']) as $row) {
            $all[$row->item_id]['told_from'][] = ['item' => (string) $row->code, 'by' => $row->by];
        }
        foreach (DB::table('item_names')->whereIn('item_id', $items)->orderBy('name')->get() as $row) {
            $all[$row->item_id]['names'][] = ['name' => (string) $row->name, 'region' => $row->region];
        }

        /** @var array<string, HandlingData> $all */
        return $all;
    }

    /**
     * As the core knows it, by code.
     *
     * @param  list<string>  $codes
     * @return array<string, Handling>
     */
    public static function ofCodes(array $codes): array
    {
        $rows = DB::table('items')->whereIn('code', $codes)->get(['id', 'code', 'caution', ...self::COLUMNS]);
        $alike = DB::table('item_told_from')->join('items', 'items.id', '=', 'item_told_from.other_id')
            ->whereIn('item_id', $rows->pluck('id')->all())->get(['item_id', 'items.code'])->groupBy('item_id');

        return $rows->mapWithKeys(static fn (stdClass $row): array => [(string) $row->code => new Handling(
            $row->layer === null ? null : Layer::from($row->layer), self::figure($row->start_minutes), $row->staging, (bool) $row->unwraps,
            (bool) $row->keep_dry, (bool) $row->has_latex, $row->caution !== null,
            array_values(array_map(strval(...), $alike->get($row->id)?->pluck('code')->all() ?? [])), self::figure($row->bulk_ml),
        )])->all();
    }

    /**
     * Replaces the rows beside the columns, and indexes the words of the items again.
     *
     * @param  array<string, HandlingData>  $written  by id of the item
     * @param  array<string, string>  $ids  of items by code
     */
    public static function write(array $written, array $ids): void
    {
        [$alike, $names] = [[], []];
        foreach ($written as $item => $handling) {
            foreach ($handling['told_from'] as $one) {
                $alike[] = ['item_id' => $item, 'other_id' => $ids[$one['item']], 'by' => $one['by'] ?? null];
            }
            foreach ($handling['names'] as $one) {
                $names[] = ['item_id' => $item, 'name' => $one['name'], 'region' => $one['region'] ?? null];
            }
        }
        foreach (['item_told_from' => $alike, 'item_names' => $names] as $table => $rows) {
            DB::table($table)->whereIn('item_id', array_keys($written))->delete();
            DB::table($table)->insert($rows);
        }
        ItemWords::index(array_map(strval(...), array_keys($written)));
    }

    private static function figure(mixed $value): ?int
    {
        return is_numeric($value) ? (int) $value : null;
    }
}
