<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Organisation;
use App\Reading\ReadPeople;
use Illuminate\Console\Command;

final class PeopleForget extends Command
{
    protected $signature = 'people:forget';

    protected $description = 'Deletes the records of first aiders that have been kept long enough';

    public function handle(ReadPeople $people): int
    {
        $this->info($people->forget(Organisation::current()->today()).' records went.');

        return self::SUCCESS;
    }
}
