<?php

declare(strict_types=1);

namespace App\Exchange;

/** All records of a kind, as JSON in its published format or as a sheet. */
final class Exports
{
    public function json(Kind $kind): string
    {
        $records = array_map(self::written(...), app($kind->records())->all());

        return json_encode(
            ['format' => $kind->format(), $kind->member() => $records],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        )."\n";
    }

    public function csv(Kind $kind): string
    {
        $sheet = $kind->sheet();
        $rows = [];
        foreach (app($kind->records())->all() as $record) {
            array_push($rows, ...$sheet->rows($record));
        }

        return Sheet::write($sheet->headings(), $rows);
    }

    /** Measures are an object also where there are none. */
    private static function written(mixed $value, string|int $key = ''): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (in_array($key, ['size', 'min', 'max', 'total'], true)) {
            return (object) $value;
        }
        $written = [];
        foreach ($value as $name => $one) {
            $written[$name] = self::written($one, $name);
        }

        return $written;
    }
}
