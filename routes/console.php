<?php

declare(strict_types=1);

use App\Accounts\Models\Organisation;
use App\Judging\JudgeMarked;
use Illuminate\Support\Facades\Schedule;

// Before there is an organisation there is nothing to do.
$isSetUp = static fn (): bool => Organisation::query()->exists();

// What the calendar changed, and what a worker left: at midnight, and after a stop.
Schedule::job(new JudgeMarked)->everyMinute()->when($isSetUp);
// Every state beside judging anew: a difference is reported.
Schedule::command('kits:verify')->dailyAt('02:10')->withoutOverlapping()->when($isSetUp);
Schedule::command('database:analyze')->dailyAt('01:40');
Schedule::command('people:forget')->dailyAt('03:10')->when($isSetUp);
Schedule::command('ledger:checkpoint')->hourly()->when($isSetUp);
