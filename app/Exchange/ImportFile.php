<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Exchange\Models\Import;
use App\Support\Transaction;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;

/**
 * Brings a file in: reads it step by step, so that progress shows and the page may be left; previews it as a difference,
 * record by record with its errors; and takes it whole or not at all.
 */
final class ImportFile
{
    /** How long one step reads before it says how far it came. */
    private const STEP_SECONDS = 0.7;

    /** And how many records it reads at least. */
    private const STEP_LEAST = 1000;

    private const KEPT = 50;

    /**
     * Keeps a file whose records can be told apart.
     *
     * @throws ValidationException where it cannot be read at all
     */
    public function begin(Import $import): Import
    {
        $import->rows = count($this->records($import));
        $import->state = 'reading';
        Transaction::run(static function () use ($import): void {
            // Previews that nobody took are not kept for ever.
            $old = Import::query()->orderBy('made_at', 'desc')->offset(self::KEPT)->limit(1000)->pluck('id');
            Import::query()->whereIn('id', $old)->delete();
            $import->save();
        });

        return $import;
    }

    /** Reads on for a while. */
    public function step(Import $import): Import
    {
        $until = microtime(true) + self::STEP_SECONDS;
        $found = $this->records($import);
        $kind = $import->kind;
        $records = app($kind->records());
        $records->begin(array_map(static fn (array $one): array => $one['record'], $found));
        [$validator, $schema] = self::validator($kind);

        return Transaction::run(function () use ($import, $until, $found, $records, $validator, $schema): Import {
            $import = Import::query()->where('id', $import->id)->lockForUpdate()->firstOrFail();
            // Two pages may read one file: what is read is known only once it is locked.
            $seen = [];
            foreach (array_slice($found, 0, $import->read) as $one) {
                $seen[$records->code($one['record'])] = true;
            }
            $rows = [];
            while ($import->state === 'reading' && $import->read < $import->rows && (count($rows) < self::STEP_LEAST || microtime(true) < $until)) {
                $one = $found[$import->read];
                $code = $records->code($one['record']);
                $rows[] = [
                    'import_id' => $import->id, 'number' => $one['line'], 'code' => mb_substr($code, 0, 160),
                    ...$this->compared($records, $one['record'], isset($seen[$code]), $validator, $schema),
                ];
                $seen[$code] = true;
                $import->read++;
            }
            foreach (array_chunk($rows, 500) as $chunk) {
                DB::table('import_rows')->insert($chunk);
            }
            if ($import->state === 'reading' && $import->read >= $import->rows) {
                $import->state = DB::table('import_rows')->where('import_id', $import->id)->where('outcome', 'error')->exists() ? 'refused' : 'ready';
            }
            $import->save();

            return $import;
        });
    }

    /**
     * Takes all of it, or nothing: what is there now may have changed since it was read, so it is compared again.
     *
     * @throws ValidationException where anything is wrong with it
     */
    public function take(Import $import, User $by): Import
    {
        set_time_limit(180);
        $this->refuseUnless($import);
        $kind = $import->kind;
        $records = app($kind->records());
        $found = $this->records($import);
        $records->begin(array_map(static fn (array $one): array => $one['record'], $found));
        Transaction::run(function () use ($import, $by, $records, $found): void {
            $import = Import::query()->where('id', $import->id)->lockForUpdate()->firstOrFail();
            $this->refuseUnless($import);
            $changes = [];
            foreach ($found as $one) {
                $record = $records->whole($one['record']);
                $known = $records->known($record);
                $problems = $records->problems($record, $known);
                if ($problems !== []) {
                    throw ValidationException::withMessages(['import' => "Row {$one['line']} no longer fits what is ".
                        "there: {$problems[0]} Nothing was imported; import the file again."]);
                }
                if ($known === null || Difference::between($known, $record) !== []) {
                    $changes[] = ['record' => $record, 'known' => $known];
                }
            }
            $records->take($changes, $by, static function (int $done) use ($import): void {
                Cache::put("import.{$import->id}", $done, 600);
            });
            $import->update(['state' => 'done', 'done_at' => now()->utc()->format('Y-m-d H:i:s'), 'source' => '']);
        });

        return $import->refresh();
    }

    /** How many records are taken so far, while it goes on. */
    public static function taken(Import $import): int
    {
        $taken = Cache::get("import.{$import->id}", 0);

        return $import->state === 'done' ? $import->rows : (is_int($taken) ? min($taken, $import->rows) : 0);
    }

    private function refuseUnless(Import $import): void
    {
        if ($import->state !== 'ready') {
            throw ValidationException::withMessages(['import' => match ($import->state) {
                'done' => 'This file was imported already.',
                'refused' => 'Some rows have errors. Nothing was imported. Correct these rows in the file and import it again.',
                default => 'This file is not read to its end yet.',
            }]);
        }
    }

    /**
     * @param  array<string, mixed>  $record
     * @return array{outcome: string, texts: string}
     */
    private function compared(Records $records, array $record, bool $isTwice, Validator $validator, object $schema): array
    {
        if ($isTwice) {
            return ['outcome' => 'error', 'texts' => 'This code stands in the file twice. Keep one of them; rows of one record stand together.'];
        }
        $result = $validator->validate(json_decode(Json::write(self::asObjects($record))), $schema);
        if (! $result->isValid()) {
            $texts = [];
            foreach ($result->error() === null ? [] : (new ErrorFormatter)->format($result->error(), true) as $path => $messages) {
                $texts[] = trim(
                    str_replace('/', ' ', (string) $path).': '.implode(
                        ' ',
                        is_array($messages) ? array_map(static fn (mixed $message): string => is_string($message) ? $message : '', $messages) : [],
                    ),
                    ': ',
                );
            }

            return ['outcome' => 'error', 'texts' => implode("\n", $texts)];
        }
        $record = $records->whole($record);
        $known = $records->known($record);
        $problems = $records->problems($record, $known);
        if ($problems !== []) {
            return ['outcome' => 'error', 'texts' => implode("\n", $problems)];
        }
        $texts = $known === null ? [] : Difference::between($known, $record);

        return ['outcome' => $known === null ? 'new' : ($texts === [] ? 'same' : 'changed'), 'texts' => mb_strcut(implode("\n", $texts), 0, 60000)];
    }

    /** @return array{Validator, object} the schema of one record */
    private static function validator(Kind $kind): array
    {
        /** @var \stdClass $schema */
        $schema = json_decode((string) file_get_contents($kind->schema()), false, 512, JSON_THROW_ON_ERROR);
        $entry = $schema->{'$defs'}->entry;
        unset($schema->{'$defs'}->entry);
        $entry->{'$defs'} = $schema->{'$defs'};
        $validator = new Validator;
        $validator->setMaxErrors(5);

        return [$validator, $entry];
    }

    /** Measures are objects, also where they are empty. */
    private static function asObjects(mixed $value, string|int $key = ''): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        $written = array_map(null, $value);
        foreach ($value as $name => $one) {
            $written[$name] = self::asObjects($one, $name);
        }

        return in_array($key, ['size', 'min', 'total'], true) ? (object) $written : $written;
    }

    /**
     * @return list<array{line: int, record: array<string, mixed>}>
     *
     * @throws ValidationException
     */
    private function records(Import $import): array
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
