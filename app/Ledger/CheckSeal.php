<?php

declare(strict_types=1);

namespace App\Ledger;

/** What the hash of a check covers: its own columns, and those of its rows, lines and findings. */
final class CheckSeal
{
    private const CHECK = [
        'number', 'id', 'kit_id', 'kind', 'started_at', 'finished_at', 'day', 'user_id', 'signed', 'verdict',
        'mass_g', 'next_check', 'seal_found', 'seal_set', 'seal_reason', 'note',
    ];

    private const ROW = ['position', 'pocket_id', 'lot_id', 'condition', 'recorded', 'counted'];

    private const LINE = ['position', 'code', 'need', 'rank', 'required', 'effective', 'reserve', 'short'];

    private const FINDING = ['position', 'kind', 'severity', 'text'];

    /**
     * @param  array<string, mixed>  $check
     * @param  list<array<string, mixed>>  $rows
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, mixed>>  $findings
     */
    public static function covered(array $check, array $rows, array $lines, array $findings): string
    {
        $parts = [self::columns(self::CHECK, $check)];
        foreach ([[self::ROW, $rows], [self::LINE, $lines], [self::FINDING, $findings]] as [$columns, $members]) {
            foreach ($members as $member) {
                $parts[] = self::columns($columns, $member);
            }
            $parts[] = '';
        }

        return implode("\x1e", $parts);
    }

    /**
     * @param  list<string>  $columns
     * @param  array<string, mixed>  $row
     */
    private static function columns(array $columns, array $row): string
    {
        return implode("\x1f", array_map(static fn (string $column): string => is_scalar($row[$column]) ? (string) $row[$column] : '', $columns));
    }
}
