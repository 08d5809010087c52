<?php

declare(strict_types=1);

namespace App\Exchange;

/** Designs, a row for each line in its pocket. */
final class DesignSheet implements RecordSheet
{
    public function headings(): array
    {
        return [
            'design', 'name', 'list', 'edition', ...DesignRecords::POLICY, 'modules', 'every', 'seasons', 'leaf', 'pocket',
            'row', 'column', 'row_span', 'column_span', 'line', 'need', 'rank', 'amount', 'accepts', 'reason',
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
         *     additions: list<array<string, mixed>>,
         *     leaves: list<array{
         *         name: string,
         *         pockets: list<array{name: string, row: int, column: int, row_span: int, column_span: int, lines: list<string>}>,
         *     }>,
         * } $record
         */
        $say = static fn (mixed $value): string => is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
        $about = [
            $record['code'], $record['name'], $record['list'], $record['edition'], ...array_map(
                static fn (string $key): string => $say($record[$key] ?? null),
                DesignRecords::POLICY,
            ),
            implode('; ', $record['modules']),
            $record['every'] === null ? '' : "{$record['every']['count']} {$record['every']['unit']}",
            implode('; ', $record['seasons']),
        ];
        $additions = array_column($record['additions'], null, 'id');
        $rows = [];
        foreach ($record['leaves'] as $leaf) {
            foreach ($leaf['pockets'] as $pocket) {
                $at = [
                    $leaf['name'], $pocket['name'], (string) $pocket['row'], (string) $pocket['column'],
                    (string) $pocket['row_span'], (string) $pocket['column_span'],
                ];
                foreach ($pocket['lines'] === [] ? [''] : $pocket['lines'] as $code) {
                    $line = $additions[$code] ?? null;
                    /** @var list<array{item?: string, class?: string, min?: array<string, string>}> $accepts */
                    $accepts = $line['accepts'] ?? [];
                    $rows[] = [
                        ...$about, ...$at, $code,
                        ...($line === null ? ['', '', '', '', ''] : [
                            $say($line['need']), $say($line['rank']), Cells::amount($line), Cells::accepts($accepts),
                            $say($line['reason']),
                        ]),
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
        /** @var array<string, array{name: string, pockets: array<string, array<string, mixed>>}> $leaves */
        $leaves = [];
        $additions = [];
        foreach ($rows as $row) {
            $leaves[$row['leaf']] ??= ['name' => $row['leaf'], 'pockets' => []];
            $pocket = $leaves[$row['leaf']]['pockets'][$row['pocket']] ?? [
                'name' => $row['pocket'], 'row' => Cells::number($row['row']),
                'column' => Cells::number($row['column']), 'row_span' => Cells::number($row['row_span']) ?? 1,
                'column_span' => Cells::number($row['column_span']) ?? 1, 'lines' => [],
            ];
            if ($row['line'] !== '') {
                $pocket['lines'] = [...(is_array($pocket['lines']) ? $pocket['lines'] : []), $row['line']];
            }
            $leaves[$row['leaf']]['pockets'][$row['pocket']] = $pocket;
            if ($row['need'] !== '') {
                $additions[] = [
                    'id' => $row['line'], 'need' => $row['need'],
                    'rank' => $row['rank'] === '' ? 'required' : $row['rank'], ...Cells::readAmount($row['amount']),
                    'accepts' => Cells::readAccepts($row['accepts']),
                    'reason' => $row['reason'] === '' ? null : $row['reason'],
                ];
            }
        }
        $flag = static fn (string $heading, bool $else): bool|string => $first[$heading] === ''
            ? $else
            : (Cells::flag($first[$heading]) ?? $first[$heading]);

        return [
            'code' => $first['design'], 'name' => $first['name'], 'list' => $first['list'],
            'edition' => $first['edition'], 'provides' => $first['provides'] === '' ? null : $first['provides'],
            'modules' => Cells::split($first['modules']),
            'empty_mass_g' => Cells::number($first['empty_mass_g']) ?? 0,
            'max_mass_g' => Cells::number($first['max_mass_g']),
            'expiry' => $first['expiry'] === '' ? 'strict' : $first['expiry'],
            'margin_days' => Cells::number($first['margin_days']) ?? 14,
            'grace_days' => Cells::number($first['grace_days']) ?? 0,
            'every' => $first['every'] === '' ? null : ['count' => $every[0] ?? 0, 'unit' => $every[1] ?? ''],
            'seasons' => Cells::split($first['seasons']), 'before_events' => $flag('before_events', false),
            'after_use' => $flag('after_use', true), 'sealed' => $flag('sealed', false),
            'additions' => $additions, 'leaves' => array_values(array_map(
                static fn (array $leaf): array => ['name' => $leaf['name'], 'pockets' => array_values($leaf['pockets'])],
                $leaves,
            )),
        ];
    }
}
