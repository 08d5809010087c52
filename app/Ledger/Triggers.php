<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/**
 * Compares the triggers of the database with database/triggers.php and makes missing ones. Triggers refuse every change of the record, also
 * by the application. Only the owner of the tables can see and make them.
 */
final class Triggers
{
    /** @return Connection|null the owner's; null where its password was not given to this command */
    public static function owner(): ?Connection
    {
        $password = getenv('DB_OWNER_PASSWORD');
        if (! is_string($password) || $password === '') {
            return null;
        }
        $here = config()->string('database.connections.'.DB::getDefaultConnection().'.database');
        // A separate connection: purging the owner's would end its transactions.
        config(['database.connections.triggers' => ['password' => $password, 'database' => $here] + config()->array('database.connections.owner')]);
        DB::purge('triggers');

        return DB::connection('triggers');
    }

    /** @return list<string> a sentence for each trigger that is missing, differs, or is none of ours */
    public function faults(Connection $owner): array
    {
        $there = $this->there($owner);
        $tables = $this->tables($owner);
        $faults = [];
        foreach ($this->wanted() as $name => [$timing, $event, $table, $body]) {
            if (! isset($tables[$table])) {
                continue;
            }
            $faults[] = match ($there[$name] ?? null) {
                [$timing, $event, $table, $body] => null,
                null => "The trigger {$name} is missing: the database does not refuse a change of {$table} by it.",
                default => "The trigger {$name} of {$table} is not the one that belongs there.",
            };
        }
        foreach (array_diff_key($there, $this->wanted()) as $name => [,, $table]) {
            $faults[] = "The trigger {$name} of {$table} is none of this program's.";
        }

        return array_values(array_filter($faults));
    }

    /**
     * Makes every trigger that is missing or differs, and removes what is none of ours.
     *
     * @return list<string> what was wrong before
     *
     * @throws QueryException where this is not the owner of the tables
     */
    public function make(Connection $owner): array
    {
        $faults = $this->faults($owner);
        if ($faults === []) {
            return [];
        }
        // Waits for tables that are read in a transaction, but not for ever.
        $owner->statement('SET SESSION lock_wait_timeout = 60');
        $there = $this->there($owner);
        $tables = $this->tables($owner);
        $wanted = array_filter($this->wanted(), static fn (array $trigger): bool => isset($tables[$trigger[2]]));
        foreach ($there as $name => $trigger) {
            if (($wanted[$name] ?? null) !== $trigger) {
                $owner->unprepared('DROP TRIGGER IF EXISTS `'.str_replace('`', '``', $name).'`');
            }
        }
        foreach ($wanted as $name => $trigger) {
            if (($there[$name] ?? null) !== $trigger) {
                [$timing, $event, $table, $body] = $trigger;
                $owner->unprepared("CREATE TRIGGER {$name} {$timing} {$event} ON `{$table}` FOR EACH ROW {$body}");
            }
        }

        return $faults;
    }

    /** @return array<string, array{string, string, string, string}> when, on what change, of which table, what it does; by name */
    private function wanted(): array
    {
        return require database_path('triggers.php');
    }

    /** @return array<string, int> the tables that are there: a backup of an earlier version has not all of them */
    private function tables(Connection $owner): array
    {
        return array_flip($owner->table('information_schema.tables')->where('table_schema', $owner->getDatabaseName())->pluck('table_name')->all());
    }

    /** @return array<string, array{string, string, string, string}> */
    private function there(Connection $owner): array
    {
        $there = [];
        $triggers = $owner->table('information_schema.triggers')->where('trigger_schema', $owner->getDatabaseName())->orderBy('trigger_name')->get([
            'trigger_name as name', 'action_timing as timing', 'event_manipulation as event', 'event_object_table as of', 'action_statement as body',
        ]);
        foreach ($triggers as $one) {
            $body = trim((string) preg_replace('/\s+/', ' ', $one->body));
            $there[$one->name] = [$one->timing, $one->event, $one->of, $body];
        }

        return $there;
    }
}
