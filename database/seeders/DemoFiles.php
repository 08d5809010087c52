<?php

declare(strict_types=1);

namespace Database\Seeders;

use Carbon\CarbonImmutable;

/** Reads the demo data's files. Days in them are counted from the day of loading. */
final class DemoFiles
{
    public function __construct(public readonly CarbonImmutable $today)
    {
    }

    /** @return list<array<string, string>> rows by heading */
    public function rows(string $name): array
    {
        $file = fopen(database_path("demo/{$name}.csv"), 'rb') ?: throw new \RuntimeException("database/demo/{$name}.csv cannot be read.");
        $headings = array_map(strval(...), fgetcsv($file, escape: '') ?: []);
        $rows = [];
        while (($row = fgetcsv($file, escape: '')) !== false) {
            $rows[] = array_combine($headings, array_map(strval(...), $row));
        }
        fclose($file);

        return $rows;
    }

    /** @return list<array<string, string>> rows by heading, of a file without days */
    public static function named(string $name): array
    {
        return (new self(CarbonImmutable::now()))->rows($name);
    }

    /** @return array<string, mixed> */
    public static function json(string $path): array
    {
        return json_decode((string) file_get_contents(database_path($path)), true, 64, JSON_THROW_ON_ERROR);
    }

    /** A date as printed: "+14m" is a month, "-9d" a day, nothing is no date. */
    public function printed(string $relative): ?string
    {
        if (preg_match('/^([+-]\d+)([md])$/', $relative, $parts) !== 1) {
            return null;
        }

        return $parts[2] === 'm'
            ? $this->today->startOfMonth()->addMonths((int) $parts[1])->format('Y-m')
            : $this->today->addDays((int) $parts[1])->toDateString();
    }
}
