<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ledger\Grants;
use Illuminate\Console\Command;

final class DatabaseGrants extends Command
{
    protected $signature = 'database:grants';

    protected $description = 'Says anew what the user who serves people may do in the database; run by bin/sarcina after each change of the tables';

    public function handle(Grants $grants): int
    {
        $grants->give(config()->string('database.connections.mariadb.username'));

        return self::SUCCESS;
    }
}
