<?php

declare(strict_types=1);

namespace App\Ledger;

/**
 * Fields as one text that can be read in one way only: the length stands before each, and what is null is told from what is empty.
 * Two different operations never give the same text, whatever their fields hold.
 */
final class Canonical
{
    /**
     * @param  string  $before  the hash of the operation before it
     * @param  array<string, mixed>  $operation  a row of `operations`
     * @param  array<string, list<array<string, mixed>>>  $parts  rows by table, in their order
     */
    public static function text(string $before, array $operation, array $parts): string
    {
        $text = self::field($before).self::row(Part::OPERATION, $operation).self::later($operation);
        foreach (Part::cases() as $part) {
            $rows = $parts[$part->value] ?? [];
            if ($rows === [] && $part->isLater()) {
                continue;
            }
            $text .= self::field($part->value).self::field(count($rows));
            foreach ($rows as $row) {
                $text .= self::row($part->columns(), $row);
            }
        }

        return $text;
    }

    /**
     * @param  list<string>  $columns
     * @param  array<string, mixed>  $row
     */
    private static function row(array $columns, array $row): string
    {
        $text = '';
        foreach ($columns as $column) {
            $text .= self::field($row[$column] ?? null);
        }

        return $text;
    }

    /**
     * Columns that came later, by name and only where there is something in them: what was recorded before they came reads as it did.
     *
     * @param  array<string, mixed>  $operation
     */
    private static function later(array $operation): string
    {
        $text = '';
        foreach (Part::LATER as $column) {
            if (($operation[$column] ?? null) !== null) {
                $text .= self::field($column).self::field($operation[$column]);
            }
        }

        return $text;
    }

    public static function field(mixed $value): string
    {
        if ($value === null) {
            return '-';
        }
        $text = match (true) {
            is_bool($value) => $value ? '1' : '0',
            is_int($value), is_string($value) => (string) $value,
            default => throw new \InvalidArgumentException('Only texts, whole numbers and yes or no are covered by a hash.'),
        };

        return strlen($text).':'.$text;
    }
}
