<?php

declare(strict_types=1);

use App\Judging\JudgeMarked;
use Illuminate\Support\Facades\Schedule;

// What the calendar changed, and what a worker left: at midnight, and after a stop.
Schedule::job(new JudgeMarked)->everyMinute();
// Every state beside judging anew: a difference is reported.
Schedule::command('kits:verify')->dailyAt('02:10')->withoutOverlapping();
Schedule::command('database:analyze')->dailyAt('01:40');
Schedule::command('people:forget')->dailyAt('03:10');
Schedule::command('ledger:checkpoint')->hourly();
