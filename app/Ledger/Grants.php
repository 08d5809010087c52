<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/**
 * What the user who serves people may do in the database: read and add everywhere, change and remove only what is not kept for good.
 * It can neither change the tables nor lift the triggers; the owner's password is not in its settings.
 */
final class Grants
{
    /** As the owner, after the tables were made or changed. */
    public function give(string $user): void
    {
        $owner = DB::connection('owner');
        $database = $owner->getDatabaseName();
        $account = "'{$user}'@'127.0.0.1'";
        $kept = Part::allKeptTables();
        // What was given before goes first: a table that is kept from now on is not changed any more.
        $owner->statement("REVOKE ALL PRIVILEGES, GRANT OPTION FROM {$account}");
        $tables = $owner
            ->table('information_schema.tables')
            ->where('table_schema', $database)
            ->where('table_type', 'BASE TABLE')
            ->pluck('table_name')
            ->all();
        foreach ($tables as $table) {
            $rights = match (true) {
                $table === 'migrations' => 'SELECT',
                in_array($table, $kept, true) => 'SELECT, INSERT',
                $table === 'lots' => 'SELECT, INSERT, DELETE, '.$this->changesOfLots($owner, $database),
                default => 'SELECT, INSERT, UPDATE, DELETE',
            };
            $owner->statement("GRANT {$rights} ON `{$database}`.`{$table}` TO {$account}");
        }
    }

    /** Allows changes of every column of a lot but its item: the record names the pieces by it. */
    private function changesOfLots(Connection $owner, string $database): string
    {
        $columns = $owner->table('information_schema.columns')->where('table_schema', $database)->where('table_name', 'lots')
            ->whereNotIn('column_name', ['id', 'item_id'])->pluck('column_name')->all();

        return 'UPDATE (`'.implode('`, `', $columns).'`)';
    }
}
