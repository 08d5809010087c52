<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

final class DatabaseFits extends Command
{
    private const KEPT = 'migration_checksums';

    protected $signature = 'database:fits {--keep : says that the tables are as the migrations of this version make them}
        {--waiting : prints "none" where nothing is left to bring up to date}';

    protected $description = 'Whether the database was made by this version\'s migrations, and can be brought up to date';

    public function handle(): int
    {
        $owner = DB::connection('owner');
        $schema = Schema::connection('owner');
        $checksums = self::checksums();
        if ($this->option('keep') === true) {
            if (! $schema->hasTable(self::KEPT)) {
                $schema->create(self::KEPT, function (Blueprint $table): void {
                    $table->string('migration', 190)->primary();
                    $table->char('checksum', 64);
                });
            }
            foreach ($checksums as $name => $checksum) {
                $owner->table(self::KEPT)->upsert([['migration' => $name, 'checksum' => $checksum]], ['migration']);
            }

            return self::SUCCESS;
        }
        if (! $schema->hasTable('migrations')) {
            $this->option('waiting') === true ? $this->line('all') : null;

            return self::SUCCESS;
        }
        $kept = $schema->hasTable(self::KEPT) ? $owner->table(self::KEPT)->pluck('checksum', 'migration')->all() : [];
        $others = array_filter(
            $owner->table('migrations')->pluck('migration')->all(),
            static fn (mixed $name): bool => ($kept[$name] ?? 'none') !== ($checksums[$name] ?? null),
        );
        if ($this->option('waiting') === true) {
            $isDone = $others === [] && array_diff(array_keys($checksums), $owner->table('migrations')->pluck('migration')->all()) === [];
            $this->line($isDone ? 'none' : 'some');

            return self::SUCCESS;
        }
        if ($others === []) {
            return self::SUCCESS;
        }
        $this->error('This database was made by another version of Sarcina, and cannot be brought up to date ('.implode(', ', $others).').');
        $this->error('bin/sarcina reset makes it anew with the demo data: what was recorded in it is gone then.');

        return self::FAILURE;
    }

    /** @return array<string, string> by the name of the migration */
    private static function checksums(): array
    {
        $checksums = [];
        foreach (glob(database_path('migrations/*.php')) ?: [] as $path) {
            $checksums[basename($path, '.php')] = (string) hash_file('sha256', $path);
        }

        return $checksums;
    }
}
