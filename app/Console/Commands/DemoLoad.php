<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ledger\CheckpointFiles;
use Illuminate\Console\Command;

final class DemoLoad extends Command
{
    protected $signature = 'demo:load';

    protected $description = 'Empties the database and loads the demo data, with its days counted from today';

    public function handle(CheckpointFiles $checkpoints): int
    {
        $this->callSilently('migrate:fresh', ['--force' => true, '--database' => 'owner']);
        $this->callSilently('database:grants');
        $this->callSilently('database:triggers');
        // They are of the record that is gone.
        $checkpoints->removeAll();
        $this->callSilently('db:seed', ['--class' => 'Database\\Seeders\\DemoSeeder', '--force' => true]);

        return self::SUCCESS;
    }
}
