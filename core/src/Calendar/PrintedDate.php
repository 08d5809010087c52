<?php

declare(strict_types=1);

namespace Sarcina\Core\Calendar;

/**
 * A date as printed on a pack: a month or a day.
 *
 * YYYY-MM is good through the last day of that month, YYYY-MM-DD through that day (rules.md, check).
 */
final readonly class PrintedDate
{
    private function __construct(public string $text, public Day $lastGoodDay)
    {
    }

    /** @throws NotADay where the text is neither a month nor a day of the calendar */
    public static function of(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})$/D', $text, $parts) === 1) {
            if (! checkdate((int) $parts[2], 1, (int) $parts[1])) {
                throw NotADay::printed($text);
            }

            return new self($text, Day::lastOfMonth((int) $parts[1], (int) $parts[2]));
        }
        try {
            return new self($text, Day::of($text));
        } catch (NotADay) {
            throw NotADay::printed($text);
        }
    }

    /** Whether `$day` is after the last good day. */
    public function isPastOn(Day $day): bool
    {
        return $day->isAfter($this->lastGoodDay);
    }
}
