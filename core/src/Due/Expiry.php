<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;

/** On which day a date in the kit asks for a check (rules.md, due: expiry). */
final class Expiry
{
    /** The day it asks on, or null where a full check has seen it and left it. */
    public static function asksOn(PrintedDate $expiry, ?Day $lastFull, int $marginDays): ?Day
    {
        $onMargin = $expiry->lastGoodDay->plusDays(-$marginDays);
        if ($lastFull === null || $onMargin->isAfter($lastFull)) {
            return $onMargin;
        }

        return $expiry->lastGoodDay->isAfter($lastFull) ? $expiry->lastGoodDay : null;
    }

    /**
     * Of all dates in a kit the one that a schedule must look at: the one that asks first.
     *
     * It need not be the earliest: that may have been seen and left, or be waiting for its last good day
     * while the margin of a later one has begun.
     *
     * @param  list<PrintedDate>  $dates
     */
    public static function firstToAsk(array $dates, ?Day $lastFull, int $marginDays): ?PrintedDate
    {
        $first = null;
        $firstDay = null;
        foreach ($dates as $date) {
            $day = self::asksOn($date, $lastFull, $marginDays);
            if ($day !== null && ($firstDay === null || $day->isBefore($firstDay))) {
                $first = $date;
                $firstDay = $day;
            }
        }

        return $first;
    }
}
