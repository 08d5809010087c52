<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use Illuminate\Console\Command;

final class KitsJudge extends Command
{
    protected $signature = 'kits:judge';

    protected $description = 'Asks the core about every kit and keeps its answers anew';

    public function handle(KitStates $states): int
    {
        $today = Organisation::current()->today();
        $count = 0;
        foreach (Kit::query()->where('retired_on', null)->orderBy('id')->lazyById(200, 'id') as $kit) {
            $states->renew($kit, $today);
            $count++;
        }
        $this->info("{$count} kits judged for {$today}.");

        return self::SUCCESS;
    }
}
