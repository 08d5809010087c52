<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\People\ForgetPeople;
use Illuminate\Console\Command;

final class PeopleForget extends Command
{
    protected $signature = 'people:forget';

    protected $description = 'Deletes the records of first aiders that have been kept long enough';

    public function handle(ForgetPeople $forget): int
    {
        $this->info($forget(Organisation::current()->today()).' records were deleted.');

        return self::SUCCESS;
    }
}
