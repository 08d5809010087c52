<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Judging\VerifyStates;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Log;

final class KitsVerify extends Command
{
    protected $signature = 'kits:verify';

    protected $description = 'Judges every kit anew beside what is kept of it, and reports each difference';

    public function handle(VerifyStates $verify): int
    {
        $differences = $verify(Organisation::current()->today());
        foreach ($differences as $difference) {
            $this->error($difference);
            Log::error("A kept state is wrong. {$difference}");
        }
        if ($differences === []) {
            $this->info('Every state is as judging anew says.');
        }

        return $differences === [] ? self::SUCCESS : self::FAILURE;
    }
}
