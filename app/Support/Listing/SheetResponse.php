<?php

declare(strict_types=1);

namespace App\Support\Listing;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** All rows of a list as a sheet, as they are filtered and sorted on the page, written while they are read. */
final class SheetResponse
{
    /**
     * @param  string  $name  of the file, without its ending
     * @param  list<string>  $headings
     * @param  iterable<list<string|int|null>>  $rows
     */
    public static function of(string $name, array $headings, iterable $rows): StreamedResponse
    {
        return new StreamedResponse(static function () use ($headings, $rows): void {
            $out = fopen('php://output', 'wb') ?: throw new \RuntimeException('The answer cannot be written.');
            WrittenSheet::into($out, $headings, $rows);
        }, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
        ]);
    }
}
