<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Ledger\HeadFile;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use RuntimeException;

final class LedgerFollow extends Command
{
    private const PAUSE_MICROSECONDS = 300_000;

    /** Repeats the message of a lasting fault after this time. */
    private const SAY_AGAIN_SECONDS = 60;

    /** Ends after this time, as the other workers do; its keeper starts it again. */
    private const SECONDS = 3600;

    protected $signature = 'ledger:follow {--once : look once, and say what is wrong}';

    protected $description = 'Keeps the end of the record in a signed file outside the database; one such process runs beside the server';

    public function handle(HeadFile $file): int
    {
        $until = time() + self::SECONDS;
        $sayAfter = 0;
        do {
            $fault = $this->look($file);
            if ($fault !== null && time() >= $sayAfter) {
                $this->error($fault);
                $sayAfter = time() + self::SAY_AGAIN_SECONDS;
            }
            if ($this->option('once') === true) {
                return $fault === null ? self::SUCCESS : self::FAILURE;
            }
            usleep(self::PAUSE_MICROSECONDS);
        } while (time() < $until);

        return self::SUCCESS;
    }

    private function look(HeadFile $file): ?string
    {
        try {
            return DB::table('organisations')->exists() ? $file->follow(Organisation::current()->today()) : null;
        } catch (QueryException) {
            // The database is stopped, or its tables are being made: try again.
            DB::purge();

            return null;
        } catch (RuntimeException $fault) {
            return $fault->getMessage();
        }
    }
}
