<?php

declare(strict_types=1);

namespace App\Console\Fleet;

use RuntimeException;

/** Rows of tables as files that the database loads in bulk, a set of them for each phase. */
final class Sheets
{
    /** @var array<string, resource> by table */
    private array $open = [];

    /** @var array<string, list<string>> columns by table, in the order in which the rows come */
    private array $columns = [];

    private string $phase = '';

    public function __construct(private readonly string $directory)
    {
    }

    public function begin(string $phase): void
    {
        $this->phase = "{$this->directory}/{$phase}";
        if (! is_dir($this->phase) && ! mkdir($this->phase, 0700, true)) {
            throw new RuntimeException("{$this->phase} cannot be made.");
        }
    }

    /** @param  array<string, bool|int|string|null>  $row */
    public function add(string $table, array $row): void
    {
        if (! isset($this->open[$table])) {
            $file = fopen("{$this->phase}/{$table}.tsv", 'w');
            $this->open[$table] = $file === false ? throw new RuntimeException("{$table} cannot be written.") : $file;
            $this->columns[$table] = array_keys($row);
        }
        $cells = [];
        foreach ($row as $value) {
            $cells[] = match (true) {
                $value === null => '\\N',
                is_bool($value) => $value ? '1' : '0',
                is_int($value) => (string) $value,
                default => strtr($value, ['\\' => '\\\\', "\t" => '\\t', "\n" => '\\n']),
            };
        }
        fwrite($this->open[$table], implode("\t", $cells)."\n");
    }

    /**
     * Ends the phase.
     *
     * @param  list<string>  $after  statements
     * @return string the file of statements that loads it
     */
    public function end(array $after = []): string
    {
        $statements = ['SET SESSION foreign_key_checks = 0;', 'SET SESSION unique_checks = 0;', 'SET NAMES utf8mb4;'];
        foreach ($this->open as $table => $file) {
            fclose($file);
            $columns = implode(', ', array_map(static fn (string $column): string => "`{$column}`", $this->columns[$table]));
            $statements[] = "LOAD DATA LOCAL INFILE '{$this->phase}/{$table}.tsv' INTO TABLE `{$table}` CHARACTER SET utf8mb4 ({$columns});";
        }
        $this->open = [];
        file_put_contents("{$this->phase}/load.sql", implode("\n", [...$statements, ...$after])."\n");

        return "{$this->phase}/load.sql";
    }
}
