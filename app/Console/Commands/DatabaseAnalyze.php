<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Has the database count its tables: after much was loaded at once its plans rest on what was there before. */
final class DatabaseAnalyze extends Command
{
    protected $signature = 'database:analyze';

    protected $description = 'Has the database count its tables, so that its plans fit what is in them';

    public function handle(): int
    {
        $tables = DB::table('information_schema.tables')->where('table_schema', DB::getDatabaseName())->where('table_type', 'BASE TABLE')
            // Who serves people may only read that one, and it is small.
            ->where('table_name', '!=', 'migrations')->orderBy('table_name')->pluck('table_name')->all();
        $refused = [];
        foreach ($tables as $table) {
            foreach (DB::select("ANALYZE TABLE `{$table}`") as $said) {
                if ($said->Msg_type === 'Error') {
                    $refused[] = "{$table}: {$said->Msg_text}";
                }
            }
        }
        foreach ($refused as $one) {
            $this->error($one);
        }

        return $refused === [] ? self::SUCCESS : self::FAILURE;
    }
}
