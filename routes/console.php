<?php

declare(strict_types=1);

use App\Accounts\Models\Organisation;
use App\Judging\JudgeMarked;
use App\Support\SarcinaFolder;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Schedule;
use Illuminate\Support\Stringable;

// Before there is an organisation there is nothing to do.
$isSetUp = static function (): bool {
    try {
        return Organisation::query()->exists();
    } catch (QueryException) {
        // While the database is away the rest of what is due is done all the same.
        return false;
    }
};
$instance = basename(SarcinaFolder::path());
$onInstance = static fn (string $function): string => escapeshellarg(base_path('bin/lib/on.sh')).' '.escapeshellarg($instance)." {$function}";
// From the first backup on, which makes the key pair.
$isBackedUp = static fn (): bool => is_file(SarcinaFolder::path('backup-key.json')) && $isSetUp();

// A log that fills the disk would take the record's place.
Schedule::command('logs:bound')->everyMinute();

// What the calendar changed, and what a worker left: at midnight, and after a stop.
Schedule::job(new JudgeMarked)->everyMinute()->when($isSetUp);
// Every state beside judging anew: a difference is reported.
Schedule::command('kits:verify')->dailyAt('02:10')->withoutOverlapping()->when($isSetUp);
Schedule::command('database:analyze')->dailyAt('01:40');
Schedule::command('people:forget')->dailyAt('03:10')->when($isSetUp);
Schedule::command('ledger:checkpoint')->hourly()->when($isSetUp);
Schedule::exec($onInstance('scheduled_backup'))->dailyAt('02:30')->when($isBackedUp)->onFailureWithOutput(
    static fn (Stringable $output) => Log::error("The daily backup was not made.\n{$output}"),
);
Schedule::exec($onInstance('drill'))->weeklyOn(0, '03:30')->when($isBackedUp)->onFailureWithOutput(
    static fn (Stringable $output) => Log::error("The weekly drill failed: the newest backup cannot be put back as it is.\n{$output}"),
);
