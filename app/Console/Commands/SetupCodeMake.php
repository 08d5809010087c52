<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\SetupCode;
use Illuminate\Console\Command;

final class SetupCodeMake extends Command
{
    protected $signature = 'setup:code';

    protected $description = 'Makes the code by which an organisation is set up, where there is none yet';

    public function handle(SetupCode $code): int
    {
        if (SetupCode::isOpen()) {
            $this->line($code->make(now()));
        }

        return self::SUCCESS;
    }
}
