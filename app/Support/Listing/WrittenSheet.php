<?php

declare(strict_types=1);

namespace App\Support\Listing;

/** CSV with headings, written in commas and UTF-8; cells that a spreadsheet would run are made harmless. */
final class WrittenSheet
{
    /** A cell that begins so is run as a formula by a spreadsheet. */
    public const RUNS = ['=', '+', '-', '@', '|', "\t", "\r", "\n"];

    /**
     * @param  resource  $file
     * @param  list<string>  $headings
     * @param  iterable<list<string|int|null>>  $rows
     */
    public static function into($file, array $headings, iterable $rows): void
    {
        fputcsv($file, $headings, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::cell(...), $row), escape: '', eol: "\r\n");
        }
    }

    /** An apostrophe before it keeps a cell from being run; reading takes it off again. */
    public static function harmless(string $cell): string
    {
        return $cell !== '' && in_array($cell[0], [...self::RUNS, "'"], true) ? "'{$cell}" : $cell;
    }

    private static function cell(string|int|null $cell): string
    {
        return is_int($cell) ? (string) $cell : self::harmless((string) $cell);
    }
}
