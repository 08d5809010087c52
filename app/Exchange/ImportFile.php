<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Exchange\Models\Import;
use App\Support\Transaction;
use App\Support\Unseen;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Opis\JsonSchema\Validator;
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
    private const STEP_LEAST = 2500;

    private const KEPT = 50;

    /**
     * The file that this object reads, so that each step does not parse it again.
     *
     * @var array{id: string, records: list<array{line: int, record: array<string, mixed>}>}|null
     */
    private ?array $open = null;

    /**
     * Keeps a file whose records can be told apart.
     *
     * @throws ValidationException where it cannot be read at all
     */
    public function begin(Import $import): Import
    {
        $import->rows = count(ImportSource::records($import));
        $import->state = 'reading';
        Transaction::run(static function () use ($import): void {
            // Previews that nobody took are not kept for ever.
            $old = Import::query()->orderBy('made_at', 'desc')->offset(self::KEPT)->limit(1000)->pluck('id');
            Import::query()->whereIn('id', $old)->delete();
            $import->save();
        });
        ReadImport::dispatch($import->id);

        return $import;
    }

    /** Reads on for a while. */
    public function step(Import $import): Import
    {
        $until = microtime(true) + self::STEP_SECONDS;
        $found = $this->recordsOf($import);
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
     * Has it taken in as soon as a worker is free. Who asks twice, or at the same moment as somebody else, starts it once.
     *
     * @throws ValidationException where it is not ready for that
     */
    public function askToTake(Import $import, User $by): Import
    {
        Transaction::run(function () use ($import, $by): void {
            $import = Import::query()->where('id', $import->id)->lockForUpdate()->firstOrFail();
            if ($import->state === 'taking') {
                return;
            }
            $this->refuseUnless($import, 'ready');
            $import->update(['state' => 'taking', 'problem' => null]);
            TakeImport::dispatch($import->id, $by->id);
        });

        return $import->refresh();
    }

    /** It was not read to its end, and never will be. */
    public function giveUp(Import $import): void
    {
        Import::query()->where('id', $import->id)->where('state', 'reading')
            ->update(['state' => 'refused', 'problem' => 'The file could not be read to its end. Nothing was imported; import it again.']);
    }

    /** It was not taken in, and can be asked for again. */
    public function giveBack(Import $import, string $problem): void
    {
        Import::query()->where('id', $import->id)->where('state', 'taking')->update(['state' => 'ready', 'problem' => $problem]);
    }

    /**
     * Takes all of it, or nothing: what is there now may have changed since it was read, so it is compared again.
     *
     * @throws ValidationException where anything is wrong with it
     */
    public function take(Import $import, User $by): Import
    {
        $this->refuseUnless($import, 'taking');
        $kind = $import->kind;
        $records = app($kind->records());
        $found = ImportSource::records($import);
        $records->begin(array_map(static fn (array $one): array => $one['record'], $found));
        Transaction::run(function () use ($import, $by, $records, $found): void {
            $import = Import::query()->where('id', $import->id)->lockForUpdate()->firstOrFail();
            $this->refuseUnless($import, 'taking');
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

    /**
     * Gives the records of a file. What was sent never changes under its id.
     *
     * @return list<array{line: int, record: array<string, mixed>}>
     */
    private function recordsOf(Import $import): array
    {
        if ($this->open === null || $this->open['id'] !== $import->id) {
            $this->open = ['id' => $import->id, 'records' => ImportSource::records($import)];
        }

        return $this->open['records'];
    }

    private function refuseUnless(Import $import, string $state): void
    {
        if ($import->state !== $state) {
            throw ValidationException::withMessages(['import' => match ($import->state) {
                'done' => 'This file was imported already.',
                'taking' => 'This file is being imported.',
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
        $isPlain = true;
        array_walk_recursive($record, static function (mixed $one) use (&$isPlain): void {
            $isPlain = $isPlain && ! (is_string($one) && Unseen::isIn($one));
        });
        if (! $isPlain) {
            return ['outcome' => 'error', 'texts' => 'It holds a character that cannot be seen, or one that turns the direction of the text.'];
        }
        $result = $validator->validate(json_decode(Json::write(self::asObjects($record))), $schema);
        if (! $result->isValid()) {
            $texts = $result->error() === null ? [] : SchemaFault::say($result->error());

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

        return in_array($key, ['size', 'min', 'max', 'total'], true) ? (object) $written : $written;
    }
}
