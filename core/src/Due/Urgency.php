<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Verdict;

/** When a check is overdue, and how pressing a kit is by that and by its verdict. */
final class Urgency
{
    /** A check that falls due within so many days is to be planned. */
    public const SOON_DAYS = 14;

    /** Days that `$asOf` is past the day and its grace, never below 0 (rules.md, due). */
    public static function overdueDays(?Day $due, int $graceDays, Day $asOf): int
    {
        return $due === null ? 0 : max(0, $asOf->number - $due->number - $graceDays);
    }

    /** The first day on which a check is overdue. */
    public static function overdueFrom(?Day $due, int $graceDays): ?Day
    {
        return $due?->plusDays($graceDays + 1);
    }

    /**
     * Finds where a kit stands on the worklist.
     *
     * @param  bool  $hasTask  whether it waits for a restock or an answer, whatever its verdict
     */
    public static function band(Verdict $verdict, ?Day $due, bool $hasTask, Day $asOf): Band
    {
        $isDue = $due !== null && ! $due->isAfter($asOf);
        $isSoon = $due !== null && ! $due->isAfter($asOf->plusDays(self::SOON_DAYS));

        return match (true) {
            $verdict === Verdict::NotReady => Band::Stop,
            $verdict === Verdict::Limited, $verdict === Verdict::NotChecked, $isDue => Band::Now,
            $isSoon => Band::Soon,
            $verdict !== Verdict::Ready, $hasTask => Band::Later,
            default => Band::Nothing,
        };
    }

    /**
     * The days after which the band is another one, though nothing happens.
     *
     * @return list<Day> last days on which it is as it is
     */
    public static function lastDays(?Day $due, Day $asOf): array
    {
        return $due === null ? [] : array_values(array_filter(
            [$due->plusDays(-self::SOON_DAYS - 1), $due->plusDays(-1)],
            static fn (Day $day): bool => ! $day->isBefore($asOf),
        ));
    }
}
