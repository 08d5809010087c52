<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Models\Import;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;

/** What stands in an imported file, as JSON or as a sheet. */
final class ImportSource
{
    private const MOST_PARTS = 150_000;

    /**
     * The records of an imported file, each with the row or entry where it begins.
     *
     * @return list<array{line: int, record: array<string, mixed>}>
     *
     * @throws ValidationException where it cannot be read
     */
    public static function records(Import $import): array
    {
        try {
            $kind = $import->kind;

            return $import->format === 'json' ? self::fromJson($kind, $import->source) : self::fromSheet($kind, $import->source);
        } catch (NotRead $refused) {
            throw ValidationException::withMessages(['source' => $refused->getMessage()]);
        }
    }

    /** @return list<array{line: int, record: array<string, mixed>}> */
    private static function fromJson(Kind $kind, string $text): array
    {
        // Counted before parsing: each object takes far more memory than its two characters.
        if (substr_count($text, '{') + substr_count($text, '[') > self::MOST_PARTS) {
            throw NotRead::because('The file has more than '.number_format(self::MOST_PARTS).' objects and lists. Bring it in by parts.');
        }
        try {
            $document = Json::read($text);
        } catch (InvalidDocument $refused) {
            throw NotRead::because("The file is not JSON: {$refused->problems[0]->message}");
        }
        if (! $document instanceof \stdClass || ($document->format ?? null) !== $kind->format() || ! is_array($document->{$kind->member()} ?? null)) {
            throw NotRead::because("The file must be {\"format\": \"{$kind->format()}\", \"{$kind->member()}\": [ … ]}.");
        }
        foreach (array_keys(get_object_vars($document)) as $key) {
            if (! in_array($key, ['format', $kind->member()], true)) {
                throw NotRead::because("The key \"{$key}\" is not known in this file.");
            }
        }
        if (count($document->{$kind->member()}) > Sheet::MOST_ROWS) {
            throw NotRead::because('The file has more than '.number_format(Sheet::MOST_ROWS).' entries. Bring it in by parts.');
        }
        $records = [];
        foreach (array_values($document->{$kind->member()}) as $index => $record) {
            if (! $record instanceof \stdClass) {
                throw NotRead::because('Entry '.($index + 1).' must be an object, written {…}.');
            }
            /** @var array<string, mixed> $read */
            $read = json_decode(Json::write($record), true);
            $records[] = ['line' => $index + 1, 'record' => $read];
        }

        return $records;
    }

    /** @return list<array{line: int, record: array<string, mixed>}> rows of one record stand together */
    private static function fromSheet(Kind $kind, string $text): array
    {
        $sheet = $kind->sheet();
        $key = $sheet->key();
        $lines = [];
        $groups = [];
        $last = null;
        foreach (Sheet::read($text, $sheet->headings()) as $row) {
            // Another edition of a list is another record, though its code is the same.
            $of = $row['cells'][$key]."\n".($kind === Kind::Lists ? $row['cells']['edition'] : '');
            if ($of !== $last) {
                $lines[] = $row['line'];
                $groups[] = [];
                $last = $of;
            }
            $groups[count($groups) - 1][] = $row['cells'];
        }

        return array_map(static fn (int $line, array $rows): array => ['line' => $line, 'record' => $sheet->fromRows($rows)], $lines, $groups);
    }
}
