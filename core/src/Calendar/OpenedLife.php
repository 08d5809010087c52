<?php

declare(strict_types=1);

namespace Sarcina\Core\Calendar;

/** How many days a piece is good once it was opened, as makers print it: so many days, weeks or months. */
final class OpenedLife
{
    /** Days of the months, in the year that has the fewest. */
    private const MONTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    /** @param  'days'|'weeks'|'months'  $unit  months: the fewest days that so many calendar months can have */
    public static function days(int $count, string $unit): int
    {
        return match ($unit) {
            'days' => $count,
            'weeks' => 7 * $count,
            'months' => 365 * intdiv($count, 12) + self::fewest($count % 12),
        };
    }

    private static function fewest(int $months): int
    {
        $sums = [];
        foreach (array_keys(self::MONTHS) as $first) {
            $sums[] = array_sum(array_slice([...self::MONTHS, ...self::MONTHS], $first, $months));
        }

        return min($sums);
    }
}
