<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;

/** How long a check may be overdue before the kit is not ready (rules.md, check: `not_ready_after_days`). */
final class Lateness
{
    private const DAYS = 90;

    /**
     * Finds the days after which an overdue kit is not ready.
     *
     * @param  int|null  $set  as the policy sets it
     * @param  Day|null  $due  the earliest unanswered due day, from which an interval of months is counted
     */
    public static function notReadyAfterDays(?int $set, ?Interval $every, ?Day $due): int
    {
        $from = $due ?? Day::numbered(0);

        return $set ?? ($every === null ? self::DAYS : $every->after($from)->number - $from->number);
    }
}
