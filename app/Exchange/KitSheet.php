<?php

declare(strict_types=1);

namespace App\Exchange;

/** Kits, a row for each item, lot and condition in a pocket. */
final class KitSheet implements RecordSheet
{
    public function headings(): array
    {
        return ['kit', 'name', 'design', 'place', 'scope', 'in', 'pocket', 'item', 'lot', 'expires', 'quantity', 'condition', 'opened_on'];
    }

    public function key(): string
    {
        return 'kit';
    }

    public function rows(array $record): array
    {
        /**
         * @var array{
         *     code: string, name: string, design: string, place: string, scope: string, in: string|null,
         *     contents: list<array{
         *         pocket: string, item: string, lot: string|null, expires: string|null, quantity: int, condition: string, opened_on: string|null,
         *     }>,
         * } $record
         */
        $about = [$record['code'], $record['name'], $record['design'], $record['place'], $record['scope'], (string) $record['in']];
        $rows = array_map(
            static fn (array $row): array => [
                ...$about,
                $row['pocket'],
                $row['item'],
                (string) $row['lot'],
                (string) $row['expires'],
                (string) $row['quantity'],
                $row['condition'],
                (string) $row['opened_on'],
            ],
            $record['contents'],
        );

        return $rows === [] ? [[...$about, '', '', '', '', '', '', '']] : $rows;
    }

    public function fromRows(array $rows): array
    {
        $first = $rows[0];

        return [
            'code' => $first['kit'],
            'name' => $first['name'],
            'design' => $first['design'],
            'place' => $first['place'],
            'scope' => $first['scope'] === '' ? 'first_aider' : $first['scope'],
            'in' => $first['in'] === '' ? null : $first['in'],
            'contents' => array_values(
                array_map(
                    static fn (array $row): array => [
                        'pocket' => $row['pocket'],
                        'item' => $row['item'],
                        'lot' => $row['lot'] === '' ? null : $row['lot'],
                        'expires' => $row['expires'] === '' ? null : $row['expires'],
                        'quantity' => Cells::number($row['quantity']),
                        'condition' => $row['condition'] === '' ? 'good' : $row['condition'],
                        'opened_on' => $row['opened_on'] === '' ? null : $row['opened_on'],
                    ],
                    array_filter($rows, static fn (array $row): bool => $row['item'].$row['pocket'] !== ''),
                ),
            ),
        ];
    }
}
