<?php

declare(strict_types=1);

namespace App\Backup;

use FilesystemIterator;
use JsonException;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use RuntimeException;
use SplFileInfo;

/** Describes a backup: each file with its checksum, each table with its number of rows, and salt and cost of the key. */
final class Manifest
{
    public const FORMAT = 'sarcina.backup-2';

    public const FILE = 'manifest.json';

    /** The HMAC of the manifest. A backup without a key has none. */
    public const CODE = 'manifest.mac';

    /** Everything else in the backup, encrypted if there is a key. */
    public const CONTENTS = 'contents';

    /** The same as a plain tar, while a backup is made or opened. */
    public const OPENED = 'contents.tar';

    private const MOST_BYTES = 10_000_000;

    /**
     * @param  array<string, mixed>|null  $stretch  salt and cost of its key (BackupKey::stretch); null: it has no key
     * @param  array<string, string>  $files  SHA-256 by path
     * @param  array<string, int>  $rows  by table
     */
    public function __construct(
        public readonly string $instance,
        public readonly string $reason,
        public readonly string $madeAt,
        public readonly ?string $secretsKnownBy,
        public readonly array $files,
        public readonly array $rows,
        public readonly ?array $stretch = null,
    ) {
    }

    /** Describes the files in the folder. Its file `rows` has a table and its number of rows on each line. */
    public static function describe(
        string $folder, string $instance, string $reason, string $madeAt, ?string $secretsKnownBy, ?BackupKey $key = null,
    ): self {
        $rows = [];
        foreach (explode("\n", trim((string) file_get_contents("{$folder}/rows"))) as $line) {
            [$table, $number] = [...explode("\t", $line), ''];
            $rows[$table] = (int) $number;
        }
        if (count($rows) < 2) {
            throw new RuntimeException('The database gave no tables: there is nothing to back up.');
        }
        ksort($rows);

        return new self($instance, $reason, $madeAt, $secretsKnownBy, self::checksums($folder), $rows, $key?->stretch());
    }

    /** @throws RuntimeException where it is none, or not whole */
    public static function read(string $folder): self
    {
        try {
            $document = json_decode(self::text($folder), true, 8, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $document = null;
        }
        if (! is_array($document) || ($document['format'] ?? null) !== self::FORMAT || ! is_array($document['files'] ?? null)
            || ! is_array($document['rows'] ?? null)) {
            throw new RuntimeException('This is no backup of Sarcina: '.self::FILE.' is missing, or is of another format than '.self::FORMAT.'.');
        }
        $text = static fn (string $name): string => is_string($document[$name] ?? null) ? $document[$name] : '';

        return new self(
            $text('instance'), $text('reason'), $text('made_at'), $text('secrets_known_by') ?: null,
            array_filter($document['files'], is_string(...)), array_filter($document['rows'], is_int(...)),
            is_array($document['stretch'] ?? null) ? $document['stretch'] : null,
        );
    }

    /** @return string the manifest as it is in the folder, cut off at a limit: then it is no valid JSON */
    public static function text(string $folder): string
    {
        $file = "{$folder}/".self::FILE;

        return is_file($file) && ! is_link($file) ? (string) file_get_contents($file, length: self::MOST_BYTES) : '';
    }

    public function json(): string
    {
        return json_encode([
            'format' => self::FORMAT, 'instance' => $this->instance, 'reason' => $this->reason, 'made_at' => $this->madeAt,
            'secrets_known_by' => $this->secretsKnownBy, 'stretch' => $this->stretch, 'files' => $this->files, 'rows' => $this->rows,
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return list<string> what lies there otherwise than when the backup was made */
    public function faults(string $folder): array
    {
        $there = self::checksums($folder);
        $faults = [];
        foreach ($this->files as $path => $checksum) {
            $faults[] = match ($there[$path] ?? null) {
                $checksum => null,
                null => "{$path} is missing.",
                default => "{$path} is not as it was written.",
            };
        }
        foreach (array_keys(array_diff_key($there, $this->files)) as $path) {
            $faults[] = "{$path} was not in this backup when it was made.";
        }

        return array_values(array_filter($faults, is_string(...)));
    }

    /** @return array<string, string> SHA-256 by path */
    private static function checksums(string $folder): array
    {
        $checksums = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            $path = $file instanceof SplFileInfo ? substr($file->getPathname(), strlen($folder) + 1) : self::FILE;
            if (! in_array($path, [self::FILE, self::CODE, self::CONTENTS, self::OPENED], true)) {
                $checksums[$path] = is_link("{$folder}/{$path}") ? 'a link' : (string) hash_file('sha256', "{$folder}/{$path}");
            }
        }
        ksort($checksums);

        return $checksums;
    }
}
