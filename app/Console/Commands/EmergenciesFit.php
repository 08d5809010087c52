<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Cope\ShippedEmergencies;
use Illuminate\Console\Command;

final class EmergenciesFit extends Command
{
    protected $signature = 'emergencies:fit';

    protected $description = 'Adds the kinds of emergency that this version ships and that are not there yet, unconfirmed';

    public function handle(ShippedEmergencies $shipped): int
    {
        if (Organisation::query()->exists()) {
            $shipped->fit();
        }

        return self::SUCCESS;
    }
}
