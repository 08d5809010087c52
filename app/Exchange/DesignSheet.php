<?php

declare(strict_types=1);

namespace App\Exchange;

/** Designs, a row for each line in its pocket. A pocket within another is written after it: "Wounds > Small things". */
final class DesignSheet implements RecordSheet
{
    private const WITHIN = ' > ';

    private const PLACE = [
        'row', 'column', 'row_span', 'column_span', 'kind', 'closure', 'outside', 'closed_with_seal', 'caution', 'properties', 'slot',
        'max_mass_here_g', 'volume_ml', 'looked_for',
    ];

    private const LEAF = ['leaf_closure', 'leaf_outside', 'leaf_caution', 'leaf_properties'];

    private const LINE = [
        'line', 'pieces_here', 'from', 'waits_for', 'only_in', 'need', 'rank', 'amount', 'accepts', 'reason', 'anyone_may_use',
    ];

    public function headings(): array
    {
        return [
            'design', 'name', 'list', 'edition', ...DesignRecords::POLICY, 'modules', 'every', 'seasons', 'set_aside',
            'leaf', ...self::LEAF, 'pocket', ...self::PLACE, ...self::LINE,
        ];
    }

    public function key(): string
    {
        return 'design';
    }

    public function rows(array $record): array
    {
        /**
         * @var array{
         *     code: string, name: string, list: string, edition: string, modules: list<string>,
         *     every: array{count: int, unit: string}|null, seasons: list<string>,
         *     additions: list<array<string, mixed>>, set_aside: list<array{about: string, reason: string}>,
         *     leaves: list<array{
         *         name: string, closure: string|null, outside: bool, caution: string|null, properties: list<string>,
         *         pockets: list<array<string, mixed>>,
         *     }>,
         *     configurations: list<array{name: string, lines: list<string>, slots: list<string>}>,
         * } $record
         */
        $about = [
            $record['code'], $record['name'], $record['list'], $record['edition'], ...array_map(
                static fn (string $key): string => self::say($record[$key] ?? null),
                DesignRecords::POLICY,
            ),
            implode('; ', $record['modules']),
            $record['every'] === null ? '' : "{$record['every']['count']} {$record['every']['unit']}",
            implode('; ', $record['seasons']),
            implode(' / ', array_map(static fn (array $one): string => "{$one['about']}: {$one['reason']}", $record['set_aside'])),
        ];
        $additions = array_column($record['additions'], null, 'id');
        $rows = [];
        foreach ($record['leaves'] as $leaf) {
            foreach (self::flat($leaf['pockets'], '') as $path => $pocket) {
                $of = [self::say($leaf['closure']), $leaf['outside'] ? 'yes' : '', self::say($leaf['caution']), implode('; ', $leaf['properties'])];
                $at = [$leaf['name'], ...$of, $path, ...array_map(static fn (string $key): string => self::say(match ($key) {
                    'closed_with_seal' => $pocket['sealed'],
                    'properties', 'looked_for' => implode('; ', (array) $pocket[$key]),
                    'max_mass_here_g' => $pocket['max_mass_g'],
                    default => $pocket[$key],
                }), self::PLACE)];
                $name = str_replace(self::WITHIN, ', ', "{$leaf['name']}, {$path}");
                /** @var list<string|array{line: string, quantity: int|null, from: string|null, waits_for: string|null}> $lines */
                $lines = $pocket['lines'];
                foreach ($lines === [] ? [''] : $lines as $placed) {
                    $code = is_array($placed) ? $placed['line'] : $placed;
                    $rows[] = [
                        ...$about, ...$at, $code,
                        ...(is_array($placed)
                            ? [self::say($placed['quantity']), self::say($placed['from']), self::say($placed['waits_for'])]
                            : ['', '', '']),
                        self::onlyIn($record['configurations'], $code === '' ? 'slots' : 'lines', $code === '' ? $name : $code),
                        ...self::addition($additions[$code] ?? null),
                    ];
                }
            }
        }

        return $rows;
    }

    public function fromRows(array $rows): array
    {
        $first = $rows[0];
        $every = sscanf($first['every'], '%d %s');
        $pockets = [];
        $additions = [];
        $configurations = [];
        $of = [];
        foreach ($rows as $row) {
            $path = [$row['leaf'], ...explode(self::WITHIN, $row['pocket'])];
            $key = implode(', ', $path);
            $pockets[$key] ??= ['path' => $path, 'pocket' => self::pocket($row, (string) end($path))];
            $of[$row['leaf']] ??= self::leafFacts($row);
            if ($row['line'] !== '') {
                $pockets[$key]['pocket']['lines'][] = $row['pieces_here'].$row['from'].$row['waits_for'] === '' ? $row['line'] : [
                    'line' => $row['line'], 'quantity' => Cells::number($row['pieces_here']), 'from' => $row['from'] === '' ? null : $row['from'],
                    'waits_for' => $row['waits_for'] === '' ? null : $row['waits_for'],
                ];
            }
            foreach (Cells::split($row['only_in']) as $name) {
                $configurations[$name] ??= ['name' => $name, 'lines' => [], 'slots' => []];
                $configurations[$name][$row['line'] === '' ? 'slots' : 'lines'][] = $row['line'] === '' ? $key : $row['line'];
            }
            if ($row['need'] !== '') {
                $additions[] = [
                    'id' => $row['line'], 'need' => $row['need'],
                    'rank' => $row['rank'] === '' ? 'required' : $row['rank'], ...Cells::readAmount($row['amount']),
                    'accepts' => Cells::readAccepts($row['accepts']),
                    'reason' => $row['reason'] === '' ? null : $row['reason'],
                    'anyone_may_use' => $row['anyone_may_use'] === '' ? false : (Cells::flag($row['anyone_may_use']) ?? $row['anyone_may_use']),
                ];
            }
        }
        $flag = static fn (string $heading, bool $else): bool|string => $first[$heading] === ''
            ? $else
            : (Cells::flag($first[$heading]) ?? $first[$heading]);

        return [
            'code' => $first['design'], 'name' => $first['name'], 'list' => $first['list'],
            'edition' => $first['edition'], 'provides' => $first['provides'] === '' ? null : $first['provides'],
            'serves' => $first['serves'] === '' ? null : $first['serves'],
            'modules' => Cells::split($first['modules']),
            'empty_mass_g' => Cells::number($first['empty_mass_g']),
            'max_mass_g' => Cells::number($first['max_mass_g']),
            'expiry' => $first['expiry'] === '' ? 'strict' : $first['expiry'],
            'margin_days' => Cells::number($first['margin_days']) ?? 14,
            'grace_days' => Cells::number($first['grace_days']) ?? 0,
            'not_ready_after_days' => Cells::number($first['not_ready_after_days']),
            'every' => $first['every'] === '' ? null : ['count' => $every[0] ?? 0, 'unit' => $every[1] ?? ''],
            'seasons' => Cells::split($first['seasons']), 'before_events' => $flag('before_events', false),
            'after_use' => $flag('after_use', true), 'sealed' => $flag('sealed', false),
            'additions' => $additions, 'configurations' => array_values($configurations),
            'leaves' => array_map(static fn (array $leaf): array => [...$leaf, ...$of[$leaf['name']]], self::leaves($pockets)),
            'max_volume_ml' => Cells::number($first['max_volume_ml']), 'max_cost' => Cells::number($first['max_cost']),
            'latex_free' => $flag('latex_free', false), 'wrappers' => $first['wrappers'] === '' ? null : $first['wrappers'],
            'set_aside' => array_map(static function (string $one): array {
                [$about, $reason] = [...explode(': ', $one, 2), ''];

                return ['about' => $about, 'reason' => $reason];
            }, Cells::split($first['set_aside'], ' / ')),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $pockets
     * @return array<string, array<string, mixed>> by path within the leaf
     */
    private static function flat(array $pockets, string $before): array
    {
        $flat = [];
        foreach ($pockets as $pocket) {
            $path = $before.self::say($pocket['name']);
            /** @var list<array<string, mixed>> $inside */
            $inside = $pocket['inside'];
            $flat = [...$flat, $path => $pocket, ...self::flat($inside, $path.self::WITHIN)];
        }

        return $flat;
    }

    /**
     * @param  array<string, array{path: non-empty-list<string>, pocket: array<string, mixed>}>  $pockets
     * @return list<array{name: string, pockets: list<array<string, mixed>>}>
     */
    private static function leaves(array $pockets): array
    {
        $leaves = [];
        foreach ($pockets as $one) {
            $leaves[$one['path'][0]] ??= ['name' => $one['path'][0], 'pockets' => []];
            if (count($one['path']) === 2) {
                $leaves[$one['path'][0]]['pockets'][] = [...$one['pocket'], 'inside' => self::inside($pockets, $one['path'])];
            }
        }

        return array_values($leaves);
    }

    /**
     * @param  array<string, array{path: non-empty-list<string>, pocket: array<string, mixed>}>  $pockets
     * @param  list<string>  $path
     * @return list<array<string, mixed>>
     */
    private static function inside(array $pockets, array $path): array
    {
        $inside = [];
        foreach ($pockets as $one) {
            if (count($one['path']) === count($path) + 1 && array_slice($one['path'], 0, count($path)) === $path) {
                $inside[] = [...$one['pocket'], 'inside' => self::inside($pockets, $one['path'])];
            }
        }

        return $inside;
    }

    /**
     * @param  array<string, string>  $row
     * @return array<string, mixed>
     */
    private static function pocket(array $row, string $name): array
    {
        $flag = static fn (string $heading): bool|string => $row[$heading] === '' ? false : (Cells::flag($row[$heading]) ?? $row[$heading]);
        $text = static fn (string $heading): ?string => $row[$heading] === '' ? null : $row[$heading];

        return [
            'name' => $name, 'row' => Cells::number($row['row']), 'column' => Cells::number($row['column']),
            'row_span' => Cells::number($row['row_span']) ?? 1, 'column_span' => Cells::number($row['column_span']) ?? 1,
            'kind' => $text('kind') ?? 'pocket', 'closure' => $text('closure'), 'outside' => $flag('outside'),
            'sealed' => $flag('closed_with_seal'), 'caution' => $text('caution'), 'properties' => Cells::split($row['properties']),
            'slot' => $text('slot'), 'lines' => [], 'max_mass_g' => Cells::number($row['max_mass_here_g']),
            'volume_ml' => Cells::number($row['volume_ml']), 'looked_for' => Cells::split($row['looked_for']),
        ];
    }

    /**
     * @param  array<string, string>  $row
     * @return array<string, mixed>
     */
    private static function leafFacts(array $row): array
    {
        $text = static fn (string $heading): ?string => $row[$heading] === '' ? null : $row[$heading];

        return [
            'closure' => $text('leaf_closure'),
            'outside' => $row['leaf_outside'] === '' ? false : (Cells::flag($row['leaf_outside']) ?? $row['leaf_outside']),
            'caution' => $text('leaf_caution'), 'properties' => Cells::split($row['leaf_properties']),
        ];
    }

    /** @param  list<array{name: string, lines: list<string>, slots: list<string>}>  $configurations */
    private static function onlyIn(array $configurations, string $what, string $name): string
    {
        return implode('; ', array_column(array_filter(
            $configurations,
            static fn (array $one): bool => in_array($name, $what === 'lines' ? $one['lines'] : $one['slots'], true),
        ), 'name'));
    }

    /**
     * @param  array<string, mixed>|null  $line
     * @return list<string>
     */
    private static function addition(?array $line): array
    {
        if ($line === null) {
            return ['', '', '', '', '', ''];
        }
        /** @var list<array{item?: string, class?: string, min?: array<string, string>, max?: array<string, string>}> $accepts */
        $accepts = $line['accepts'];

        return [
            self::say($line['need']), self::say($line['rank']), Cells::amount($line), Cells::accepts($accepts), self::say($line['reason']),
            ($line['anyone_may_use'] ?? false) === true ? 'yes' : '',
        ];
    }

    private static function say(mixed $value): string
    {
        return is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
    }
}
