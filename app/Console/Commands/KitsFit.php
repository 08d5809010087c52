<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Judging\KitStates;
use App\Support\Transaction;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

final class KitsFit extends Command
{
    protected $signature = 'kits:fit';

    protected $description = 'Has all kits judged again where the rules are others than those that their states were worked out by';

    public function handle(): int
    {
        $rules = config()->string('judging.rules');
        Transaction::run(static function () use ($rules): void {
            if (DB::table('judging_version')->value('rules') !== $rules) {
                // Before there is any kit, there is no organisation that they would be judged for.
                if (DB::table('kit_states')->exists()) {
                    app(KitStates::class)->mark();
                }
                DB::table('judging_version')->update(['rules' => $rules]);
            }
        });

        return self::SUCCESS;
    }
}
