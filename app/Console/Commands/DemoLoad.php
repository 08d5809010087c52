<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

final class DemoLoad extends Command
{
    protected $signature = 'demo:load';

    protected $description = 'Empties the database and loads the demo data, with its days counted from today';

    public function handle(): int
    {
        $this->callSilently('migrate:fresh', ['--force' => true]);
        $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);

        return self::SUCCESS;
    }
}
