<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Support\Listing\WrittenSheet;

/** CSV with headings: commas, semicolons or tabs, read as UTF-8; cells that a spreadsheet would run are made harmless. */
final class Sheet
{
    public const MOST_ROWS = 20_000;

    private const MOST_CELLS = 1_000_000;

    /** Bytes. */
    private const LONGEST_CELL = 20_000;

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     */
    public static function write(array $headings, iterable $rows): string
    {
        $file = fopen('php://temp', 'w+b') ?: throw new \RuntimeException('No memory for the sheet.');
        WrittenSheet::into($file, $headings, $rows);
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * @param  list<string>  $headings  that may stand in the first row
     * @return list<array{line: int, cells: array<string, string>}>
     *
     * @throws NotRead
     */
    public static function read(string $text, array $headings): array
    {
        $text =
            preg_replace('/^\x{FEFF}/u', '', $text) ??
            throw NotRead::because('The file is not written in UTF-8. Save it as CSV in UTF-8, and bring it in again.');
        $first = strtok($text, "\r\n");
        $counts = [];
        foreach ([',', ';', "\t"] as $delimiter) {
            $counts[$delimiter] = substr_count((string) $first, $delimiter);
        }
        arsort($counts);
        $file = fopen('php://temp', 'w+b') ?: throw new \RuntimeException('No memory for the sheet.');
        fwrite($file, $text);
        rewind($file);
        $given = array_map(
            static fn (?string $name): string => trim((string) $name),
            fgetcsv($file, null, (string) array_key_first($counts), escape: '') ?: [],
        );
        self::refuseHeadings($given, $headings);
        $rows = [];
        $counted = 0;
        for ($line = 2; ($cells = fgetcsv($file, null, (string) array_key_first($counts), escape: '')) !== false; $line++) {
            if ($cells === [null] || implode('', array_map(strval(...), $cells)) === '') {
                continue;
            }
            if (count($rows) >= self::MOST_ROWS || ($counted += count($cells)) > self::MOST_CELLS) {
                throw NotRead::because('The file has more than '.number_format(self::MOST_ROWS).' rows or '.number_format(self::MOST_CELLS).
                    ' cells. Bring it in by parts.');
            }
            foreach ($cells as $at => $cell) {
                if (strlen((string) $cell) > self::LONGEST_CELL) {
                    throw NotRead::because("Row {$line}, cell ".($at + 1).' is longer than '.number_format(self::LONGEST_CELL).' bytes. Shorten it.');
                }
            }
            if (count($cells) > count($given)) {
                throw NotRead::because("Row {$line} has more cells than there are headings. Put text with commas in quotation marks.");
            }
            $cells = array_pad(array_map(static fn (?string $cell): string => self::read1((string) $cell), $cells), count($given), '');
            $rows[] = ['line' => $line, 'cells' => [...array_fill_keys($headings, ''), ...array_combine($given, $cells)]];
        }

        return $rows;
    }

    private static function read1(string $cell): string
    {
        return strlen($cell) > 1 && $cell[0] === "'" && in_array($cell[1], [...WrittenSheet::RUNS, "'"], true) ? substr($cell, 1) : trim($cell);
    }

    /**
     * @param  list<string>  $given
     * @param  list<string>  $headings
     *
     * @throws NotRead
     */
    private static function refuseHeadings(array $given, array $headings): void
    {
        $unknown = array_diff($given, $headings);
        if ($unknown !== [] || $given === []) {
            throw NotRead::because(
                'Row 1 must hold the headings. Not known: "'.implode('", "', $unknown).'". Known are '.implode(', ', $headings).'.',
            );
        }
        if (count(array_unique($given)) < count($given)) {
            throw NotRead::because('A heading stands twice in row 1. Take one of them out.');
        }
        if (! in_array($headings[0], $given, true)) {
            throw NotRead::because("The heading \"{$headings[0]}\" is missing in row 1.");
        }
    }
}
