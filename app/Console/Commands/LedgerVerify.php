<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ledger\Audit;
use Illuminate\Console\Command;

final class LedgerVerify extends Command
{
    protected $signature = 'ledger:verify {--rebuild : write what lies where anew from the ledger}';

    protected $description = 'Walks the chains of movements and checks, rebuilds what lies where, and says what does not agree';

    public function handle(Audit $audit): int
    {
        $faults = $audit->faults();
        foreach ($faults as $fault) {
            $this->error($fault);
        }
        if ($this->option('rebuild')) {
            $changed = $audit->rebuild();
            $this->info("What lies where was written anew: {$changed} rows differed.");
        }
        if ($faults === []) {
            $this->info('The ledger is whole: '.$audit->movements().' movements and '.$audit->checks().' checks, and what lies where agrees with them.');

            return self::SUCCESS;
        }

        return self::FAILURE;
    }
}
