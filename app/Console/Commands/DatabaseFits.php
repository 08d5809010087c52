<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

final class DatabaseFits extends Command
{
    protected $signature = 'database:fits';

    protected $description = 'Whether the database was made by this version\'s migrations, and can be brought up to date';

    public function handle(): int
    {
        if (! Schema::connection('owner')->hasTable('migrations')) {
            return self::SUCCESS;
        }
        $files = array_map(static fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $unknown = DB::connection('owner')->table('migrations')->whereNotIn('migration', $files)->pluck('migration')->all();
        if ($unknown === []) {
            return self::SUCCESS;
        }
        $this->error('This database was made by another version of Sarcina, and cannot be brought up to date ('.implode(', ', $unknown).').');
        $this->error('bin/sarcina reset makes it anew with the demo data: what was recorded in it is gone then.');

        return self::FAILURE;
    }
}
