<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Due\Schedule;

final class Schedules
{
    public static function seasonal(string $lastFull, string $season): Schedule
    {
        return new Schedule(Day::of($lastFull), seasons: [SeasonDay::of($season)], lastFull: Day::of($lastFull));
    }
}
