<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ledger\Triggers;
use Illuminate\Console\Command;

final class DatabaseTriggers extends Command
{
    protected $signature = 'database:triggers';

    protected $description = 'Names and replaces triggers that are missing or differ; run by bin/sarcina at each start';

    public function handle(Triggers $triggers): int
    {
        $owner = Triggers::owner();
        if ($owner === null) {
            $this->error('Only the owner of the tables makes triggers: DB_OWNER_PASSWORD is not set.');

            return self::FAILURE;
        }
        foreach ($triggers->make($owner) as $fault) {
            $this->info("{$fault} This was mended.");
        }

        return self::SUCCESS;
    }
}
