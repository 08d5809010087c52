<?php

declare(strict_types=1);

namespace Sarcina\Core\Calendar;

/** A day that comes every year, MM-DD. 02-29 falls on 28 February in a common year (rules.md, due). */
final readonly class SeasonDay
{
    private function __construct(private int $month, private int $day)
    {
    }

    /** @throws NotADay where no year has that day */
    public static function of(string $text): self
    {
        if (preg_match('/^(\d{2})-(\d{2})$/D', $text, $parts) !== 1
            || ! checkdate((int) $parts[1], (int) $parts[2], 2000)) {
            throw NotADay::ofSeason($text);
        }

        return new self((int) $parts[1], (int) $parts[2]);
    }

    /** The first such day after `$day`. */
    public function firstAfter(Day $day): Day
    {
        $inThatYear = Day::clamped($day->year(), $this->month, $this->day);

        return $inThatYear->isAfter($day) ? $inThatYear : Day::clamped($day->year() + 1, $this->month, $this->day);
    }
}
