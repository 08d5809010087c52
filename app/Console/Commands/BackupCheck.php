<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Manifest;
use App\Console\SaysText;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use RuntimeException;

final class BackupCheck extends Command
{
    use SaysText;

    protected $signature = 'backup:check {folder : an unpacked backup} {--rows : whether the database holds its rows, table by table}';

    protected $description = 'Whether a backup is as it was made; run by bin/sarcina';

    public function handle(): int
    {
        $folder = $this->text('folder');
        try {
            $manifest = Manifest::read($folder);
        } catch (RuntimeException $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }
        $faults = $this->option('rows') === true ? $this->others($manifest) : $manifest->faults($folder);
        foreach ($faults as $fault) {
            $this->error($fault);
        }
        if ($faults === [] && $this->option('rows') === true) {
            $rows = array_sum($manifest->rows);
            $this->info("Everything is there that was backed up at {$manifest->madeAt}: {$rows} rows in ".count($manifest->rows).' tables.');
            foreach (['operations', 'checks', 'movements', 'kits', 'users'] as $table) {
                $this->info(sprintf('  %-12s%d', $table, $manifest->rows[$table] ?? 0));
            }
        }

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }

    /** @return list<string> tables that hold another number of rows */
    private function others(Manifest $manifest): array
    {
        $others = [];
        foreach ($manifest->rows as $table => $rows) {
            $there = DB::table($table)->count();
            if ($there !== $rows) {
                $others[] = "{$table} holds {$there} rows, and the backup {$rows}.";
            }
        }

        return $others;
    }
}
