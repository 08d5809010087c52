<?php

declare(strict_types=1);

namespace Sarcina\Core\Calendar;

/**
 * A day of the Gregorian calendar, without a time or a zone.
 *
 * `number` counts days from 1970-01-01, so that days compare and add as whole numbers.
 */
final readonly class Day
{
    private function __construct(public int $number)
    {
    }

    /** @throws NotADay where the text is not a day of the calendar, written YYYY-MM-DD */
    public static function of(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $parts) !== 1
            || ! checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1])) {
            throw NotADay::written($text);
        }

        return self::on((int) $parts[1], (int) $parts[2], (int) $parts[3]);
    }

    public static function numbered(int $number): self
    {
        return new self($number);
    }

    /** The day of that year and month; the day is clamped to the month's last. */
    public static function clamped(int $year, int $month, int $day): self
    {
        return self::on($year, $month, min($day, self::daysInMonth($year, $month)));
    }

    public static function lastOfMonth(int $year, int $month): self
    {
        return self::on($year, $month, self::daysInMonth($year, $month));
    }

    public function plusDays(int $days): self
    {
        return new self($this->number + $days);
    }

    /** Adds months from this day, clamped to the last day of the month reached (rules.md, due). */
    public function plusMonths(int $months): self
    {
        [$year, $month, $day] = $this->parts();
        $count = $year * 12 + $month - 1 + $months;

        return self::clamped(intdiv($count, 12), $count % 12 + 1, $day);
    }

    public function year(): int
    {
        return $this->parts()[0];
    }

    /** 1 Monday to 7 Sunday. */
    public function weekday(): int
    {
        // 1970-01-01 was a Thursday.
        return (($this->number + 3) % 7 + 7) % 7 + 1;
    }

    public function isAfter(self $other): bool
    {
        return $this->number > $other->number;
    }

    public function isBefore(self $other): bool
    {
        return $this->number < $other->number;
    }

    public function equals(self $other): bool
    {
        return $this->number === $other->number;
    }

    public function __toString(): string
    {
        return vsprintf('%04d-%02d-%02d', $this->parts());
    }

    private static function daysInMonth(int $year, int $month): int
    {
        if ($month === 2) {
            return $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0) ? 29 : 28;
        }

        return in_array($month, [4, 6, 9, 11], true) ? 30 : 31;
    }

    /** Days since 1970-01-01, with years that begin in March so that a leap day comes last. */
    private static function on(int $year, int $month, int $day): self
    {
        $marchYear = $month > 2 ? $year : $year - 1;
        $dayOfYear = intdiv(153 * ($month > 2 ? $month - 3 : $month + 9) + 2, 5) + $day - 1;

        return new self($marchYear * 365 + intdiv($marchYear, 4) - intdiv($marchYear, 100) + intdiv($marchYear, 400) + $dayOfYear - 719468);
    }

    /** @return array{int, int, int} year, month, day */
    private function parts(): array
    {
        $shifted = $this->number + 719468;
        $era = intdiv($shifted >= 0 ? $shifted : $shifted - 146096, 146097);
        $dayOfEra = $shifted - $era * 146097;
        $yearOfEra = intdiv($dayOfEra - intdiv($dayOfEra, 1460) + intdiv($dayOfEra, 36524) - intdiv($dayOfEra, 146096), 365);
        $dayOfYear = $dayOfEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $monthFromMarch = intdiv(5 * $dayOfYear + 2, 153);
        $month = $monthFromMarch < 10 ? $monthFromMarch + 3 : $monthFromMarch - 9;

        return [
            $yearOfEra + $era * 400 + ($month <= 2 ? 1 : 0),
            $month,
            $dayOfYear - intdiv(153 * $monthFromMarch + 2, 5) + 1,
        ];
    }
}
