<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\SarcinaFolder;
use Illuminate\Console\Command;

final class LogsBound extends Command
{
    private const LONGEST_BYTES = 10_000_000;

    private const KEPT_BYTES = 1_000_000;

    protected $signature = 'logs:bound';

    protected $description = 'Of each log that grew beyond 10 MB the last megabyte is kept beside it, and it begins anew';

    public function handle(): int
    {
        foreach ([...glob(SarcinaFolder::path('*.log')) ?: [], storage_path('logs/sarcina.log')] as $log) {
            clearstatcache(true, $log);
            if (is_file($log) && filesize($log) > self::LONGEST_BYTES) {
                $this->cut($log);
            }
        }

        return self::SUCCESS;
    }

    /** Who writes to it goes on writing to the same file, at its end. */
    private function cut(string $log): void
    {
        $end = (string) file_get_contents($log, offset: max(0, (int) filesize($log) - self::KEPT_BYTES));
        $beside = "{$log}.1";
        if (@file_put_contents($beside, $end) !== false) {
            chmod($beside, 0600);
        }
        // Where the disk is full the log is emptied all the same: that makes room.
        $file = fopen($log, 'r+');
        if ($file !== false) {
            ftruncate($file, 0);
            fclose($file);
        }
    }
}
