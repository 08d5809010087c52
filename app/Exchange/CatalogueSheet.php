<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catalogue\ItemHandling;

/**
 * Items of the catalogue, a row for each.
 *
 * @phpstan-import-type HandlingData from ItemHandling
 */
final class CatalogueSheet implements RecordSheet
{
    public function headings(): array
    {
        return [
            'code', 'name', 'class', 'count_unit', 'dated', 'sterile', 'mass_g', 'scope', 'reserve', 'purpose',
            'caution', 'superseded_by', 'storage_min_c', 'storage_max_c', 'opened_life', 'allergy', 'size', 'packs',
            'needs', 'stand_ins', 'only_for_trained', 'never_for', ...ItemHandling::COLUMNS, 'told_from', 'other_names',
        ];
    }

    public function key(): string
    {
        return 'code';
    }

    public function rows(array $record): array
    {
        /**
         * @var array{
         *     code: string, name: string, class: string, count_unit: string, dated: bool, sterile: bool, mass_g: int,
         *     scope: string, reserve: bool, purpose: string, caution: string|null, superseded_by: string|null,
         *     storage: array{min_c: int|null, max_c: int|null}|null,
         *     opened_life: array{count: int, unit: string}|null, allergy: string|null, size: array<string, string>,
         *     packs: list<array{pieces: int, price: int|null}>,
         *     needs: list<array{any_of: list<string>, per: string, quantity: int, reason: string}>,
         *     stand_ins: list<string>, only_for_trained: bool, never_for: list<string>, handling: HandlingData,
         * } $record
         */
        $handling = $record['handling'];
        $yes = static fn (bool $is): string => $is ? 'yes' : 'no';

        return [[
            $record['code'], $record['name'], $record['class'], $record['count_unit'], $yes($record['dated']),
            $yes($record['sterile']), (string) $record['mass_g'], $record['scope'], $yes($record['reserve']),
            $record['purpose'],
            (string) $record['caution'], (string) $record['superseded_by'],
            (string) ($record['storage']['min_c'] ?? ''), (string) ($record['storage']['max_c'] ?? ''),
            $record['opened_life'] === null ? '' : "{$record['opened_life']['count']} {$record['opened_life']['unit']}",
            (string) $record['allergy'], Cells::measures($record['size']),
            implode(
                '; ',
                array_map(
                    static fn (array $pack): string => $pack['pieces'].($pack['price'] === null ? '' : " for {$pack['price']}"),
                    $record['packs'],
                ),
            ),
            implode(
                ' / ',
                array_map(
                    static fn (array $need): string => "{$need['quantity']} per {$need['per']} of ".
                        implode('|', $need['any_of']).": {$need['reason']}",
                    $record['needs'],
                ),
            ),
            implode('; ', $record['stand_ins']), $record['only_for_trained'] ? 'yes' : '', implode('; ', $record['never_for']),
            (string) $handling['layer'], (string) $handling['start_minutes'], (string) $handling['staging'],
            $handling['unwraps'] ? 'yes' : '', $handling['keep_dry'] ? 'yes' : '', $handling['has_latex'] ? 'yes' : '', (string) $handling['bulk_ml'],
            $handling['comes_back'] ? 'yes' : '', $handling['trains_again'] ? 'yes' : '',
            implode('; ', array_map(
                static fn (array $one): string => $one['item'].(($one['by'] ?? '') === '' ? '' : ": {$one['by']}"), $handling['told_from'],
            )),
            implode('; ', array_map(
                static fn (array $one): string => $one['name'].($one['region'] === null ? '' : " @ {$one['region']}"), $handling['names'],
            )),
        ]];
    }

    public function fromRows(array $rows): array
    {
        $row = $rows[0];
        $text = static fn (string $heading): ?string => $row[$heading] === '' ? null : $row[$heading];
        $life = sscanf($row['opened_life'], '%d %s');

        return [
            'code' => $row['code'], 'name' => $row['name'], 'class' => $row['class'],
            'count_unit' => $text('count_unit') ?? 'each', 'dated' => Cells::flag($row['dated']) ?? $row['dated'],
            'sterile' => Cells::flag($row['sterile']) ?? $row['sterile'],
            'mass_g' => Cells::number($row['mass_g']) ?? 0, 'size' => Cells::readMeasures($row['size']),
            'scope' => $text('scope') ?? 'anyone',
            ...($row['reserve'] === '' ? [] : ['reserve' => Cells::flag($row['reserve']) ?? $row['reserve']]),
            'purpose' => $row['purpose'],
            'caution' => $text('caution'), 'superseded_by' => $text('superseded_by'),
            'storage' => $row['storage_min_c'] === '' && $row['storage_max_c'] === '' ? null : [
                'min_c' => Cells::number($row['storage_min_c']), 'max_c' => Cells::number($row['storage_max_c']),
            ],
            'opened_life' => $row['opened_life'] === '' ? null : ['count' => $life[0] ?? 0, 'unit' => $life[1] ?? ''],
            'allergy' => $text('allergy'),
            'packs' => array_map(static function (string $pack): array {
                [$pieces, $price] = [...explode(' for ', $pack, 2), ''];

                return ['pieces' => Cells::number(trim($pieces)), 'price' => Cells::number(trim($price))];
            }, Cells::split($row['packs'])),
            'needs' => array_map(static function (string $need): array {
                preg_match('/^(\d+) per (kit|each) of ([^:]*): (.*)$/s', $need, $found);

                return [
                    'any_of' => Cells::split($found[3] ?? '', '|'), 'per' => $found[2] ?? '',
                    'quantity' => (int) ($found[1] ?? 0), 'reason' => $found[4] ?? '',
                ];
            }, Cells::split($row['needs'], ' / ')),
            'stand_ins' => Cells::split($row['stand_ins']),
            'only_for_trained' => $row['only_for_trained'] === '' ? false : (Cells::flag($row['only_for_trained']) ?? $row['only_for_trained']),
            'never_for' => Cells::split($row['never_for']),
            'handling' => self::handling($row),
        ];
    }

    /**
     * @param  array<string, string>  $row
     * @return array<string, mixed>
     */
    private static function handling(array $row): array
    {
        $flag = static fn (string $heading): mixed => $row[$heading] === '' ? false : (Cells::flag($row[$heading]) ?? $row[$heading]);
        $pairs = static fn (string $heading, string $by): array => array_map(
            static fn (string $one): array => array_map(trim(...), [...(preg_split($by, $one, 2) ?: [$one]), '']), Cells::split($row[$heading]),
        );

        return [
            'layer' => $row['layer'] === '' ? null : $row['layer'], 'start_minutes' => Cells::number($row['start_minutes']),
            'staging' => $row['staging'] === '' ? null : $row['staging'], 'unwraps' => $flag('unwraps'),
            'keep_dry' => $flag('keep_dry'), 'has_latex' => $flag('has_latex'), 'bulk_ml' => Cells::number($row['bulk_ml']),
            'comes_back' => $flag('comes_back'), 'trains_again' => $flag('trains_again'),
            'told_from' => array_map(
                static fn (array $one): array => ['item' => $one[0], 'by' => $one[1] === '' ? null : $one[1]], $pairs('told_from', '/: /'),
            ),
            'names' => array_map(
                static fn (array $one): array => ['name' => $one[0], 'region' => $one[1] === '' ? null : $one[1]], $pairs('other_names', '/ @ /'),
            ),
        ];
    }
}
