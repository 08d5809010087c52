<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * Keeps the end of the record, signed, in a file outside the database, within a second of each operation (`ledger:follow`). A database that
 * was rolled back is shorter than the file says, or has another operation at that number. The file never goes back, except after a restore,
 * which begins a new epoch in the record.
 */
final class HeadFile
{
    private const NAME = 'head.json';

    /** @param  string  $folder  where the checkpoints lie, outside the database */
    public function __construct(private readonly Keys $keys, private readonly string $folder)
    {
    }

    public function path(): string
    {
        return "{$this->folder}/".self::NAME;
    }

    /** @throws RuntimeException where the file is none of this instance's */
    public function read(): ?Checkpoint
    {
        $json = @file_get_contents($this->path());

        return $json === false ? null : Checkpoint::read($json, $this->keys);
    }

    /**
     * Writes the end of the record, if the record is ahead of the file.
     *
     * @param  string  $day  in the organisation's time zone
     * @return string|null what is wrong with the record, or null; then nothing was written
     *
     * @throws RuntimeException where the file cannot be written, or is none of this instance's
     */
    public function follow(string $day): ?string
    {
        $kept = $this->read();
        $head = Head::read();
        // Anybody with the database can write the one row of the head: its operation must be on record.
        $last = $head->number === 0 ? $head : DB::table('operations')->where('number', $head->number)->first(['epoch', 'hash']);
        if ($last === null || (int) $last->epoch !== $head->epoch || $last->hash !== $head->hash) {
            return "The head of the record was rewritten: operation {$head->number} of epoch {$head->epoch} is not on record as it says.";
        }
        if ($kept !== null && $head->epoch <= $kept->epoch) {
            if ([$head->epoch, $head->number, $head->hash] === [$kept->epoch, $kept->number, $kept->hash]) {
                return null;
            }
            $there = $kept->number === 0 ? $kept->hash
                : DB::table('operations')->where('number', $kept->number)->where('epoch', $kept->epoch)->value('hash');
            if ($there !== $kept->hash) {
                return "The record was put back or rewritten behind the application: operation {$kept->number} is on file outside the database, ".
                    'and is not on record any more.';
            }
        }
        $this->write($head, $day);

        return null;
    }

    public function remove(): void
    {
        @unlink($this->path());
    }

    /** Writes the file atomically, and syncs it first. */
    private function write(Head $head, string $day): void
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0700, true) && ! is_dir($this->folder)) {
            throw new RuntimeException("The folder {$this->folder} for checkpoints cannot be made.");
        }
        $json = json_encode(Checkpoint::of($head, $day, $this->keys)->document(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        $beside = "{$this->path()}.new";
        $file = @fopen($beside, 'wb');
        if ($file === false || fwrite($file, "{$json}\n") === false || ! fflush($file) || ! fsync($file)
            || ! chmod($beside, 0600) || ! rename($beside, $this->path())) {
            throw new RuntimeException("{$this->path()} cannot be written.");
        }
        fclose($file);
    }
}
