<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Judging\JudgingVersion;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Support\Transaction;
use Illuminate\Console\Command;

final class KitsJudge extends Command
{
    private const SECONDS = 60.0;

    protected $signature = 'kits:judge {--marked : only those whose states are not present}';

    protected $description = 'Asks the core about every kit and keeps its answers anew';

    public function handle(KitStates $states, JudgingVersion $version): int
    {
        $today = Organisation::current()->today();
        if ($this->option('marked') === true) {
            Transaction::run(static fn () => $version->keepPlans());
            $left = $states->judgeMarked($today, self::SECONDS);
            $this->info($left === 0 ? "Every state is of {$today}." : "{$left} kits are left.");

            return self::SUCCESS;
        }
        $count = 0;
        foreach (Kit::byThemselves()->orderBy('id')->lazyById(200, 'id') as $kit) {
            Transaction::run(fn () => $states->renew(Kit::locked($kit->id), $today));
            $count++;
        }
        $this->info("{$count} kits judged for {$today}.");

        return self::SUCCESS;
    }
}
