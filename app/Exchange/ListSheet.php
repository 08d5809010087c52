<?php

declare(strict_types=1);

namespace App\Exchange;

/** Lists, a row for each line. */
final class ListSheet implements RecordSheet
{
    public function headings(): array
    {
        return [
            'list', 'title', 'size', 'edition', 'basis', 'origin', 'kind', 'confirmed', 'excludes', 'line', 'need',
            'rank', 'amount', 'accepts', 'reason', 'anyone_may_use',
            'people', 'days', 'per',
        ];
    }

    public function key(): string
    {
        return 'list';
    }

    public function rows(array $record): array
    {
        /**
         * @var array{
         *     code: string, title: string, size: string|null, edition: string, basis: string, origin: string,
         *     kind: string, confirmed: bool, excludes: list<string>, made_for: array{people: int, days: int}|null,
         *     lines: list<array{
         *         id: string, need: string, rank: string,
         *         accepts: list<array{item?: string, class?: string, min?: array<string, string>, max?: array<string, string>}>,
         *         reason: string|null, anyone_may_use: bool, per: string,
         *     }>,
         * } $record
         */
        $about = [
            $record['code'], $record['title'], (string) $record['size'], $record['edition'], $record['basis'],
            $record['origin'], $record['kind'], $record['confirmed'] ? 'yes' : 'no',
            implode('; ', $record['excludes']),
        ];
        $madeFor = [(string) ($record['made_for']['people'] ?? ''), (string) ($record['made_for']['days'] ?? '')];
        $rows = array_map(
            static fn (array $line): array => [
                ...$about, $line['id'], $line['need'], $line['rank'], Cells::amount($line),
                Cells::accepts($line['accepts']), (string) $line['reason'],
                $line['anyone_may_use'] ? 'yes' : '', ...$madeFor, $line['per'],
            ],
            $record['lines'],
        );

        return $rows === [] ? [[...$about, '', '', '', '', '', '', '', ...$madeFor, '']] : $rows;
    }

    public function fromRows(array $rows): array
    {
        $first = $rows[0];

        return [
            'code' => $first['list'], 'title' => $first['title'],
            'size' => $first['size'] === '' ? null : $first['size'], 'edition' => $first['edition'],
            'basis' => $first['basis'],
            'origin' => $first['origin'] === '' ? 'house' : $first['origin'],
            'kind' => $first['kind'] === '' ? 'kit' : $first['kind'],
            'confirmed' => Cells::flag($first['confirmed']) ?? $first['confirmed'],
            'excludes' => Cells::split($first['excludes']),
            'made_for' => $first['people'].$first['days'] === '' ? null : [
                'people' => Cells::number($first['people']), 'days' => Cells::number($first['days']),
            ],
            'lines' => array_values(array_map(static fn (array $row): array => [
                'id' => $row['line'], 'need' => $row['need'],
                'rank' => $row['rank'] === '' ? 'required' : $row['rank'], ...Cells::readAmount($row['amount']),
                'accepts' => Cells::readAccepts($row['accepts']),
                'reason' => $row['reason'] === '' ? null : $row['reason'],
                'anyone_may_use' => $row['anyone_may_use'] === '' ? false : (Cells::flag($row['anyone_may_use']) ?? $row['anyone_may_use']),
                'per' => $row['per'] === '' ? 'trip' : $row['per'],
            ], array_filter($rows, static fn (array $row): bool => $row['line'].$row['need'] !== ''))),
        ];
    }
}
