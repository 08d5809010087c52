<?php

declare(strict_types=1);

namespace App\Exchange;

/** How records of one kind are written as rows of a sheet, and read back. */
interface RecordSheet
{
    /** @return list<string> of the sheet */
    public function headings(): array;

    /**
     * @param  array<string, mixed>  $record
     * @return list<list<string>> one row or more, in the order of the headings
     */
    public function rows(array $record): array;

    /** The heading whose value says to which record a row belongs. */
    public function key(): string;

    /**
     * @param  non-empty-list<array<string, string>>  $rows  of one record, by heading
     * @return array<string, mixed> as the JSON format has it
     */
    public function fromRows(array $rows): array;
}
