<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;

/** How often a kit is checked: every so many months, weeks or days. */
final readonly class Interval
{
    private function __construct(
        private int $months,
        private int $days,
    ) {
    }

    public static function months(int $count): self
    {
        return new self($count, 0);
    }

    public static function weeks(int $count): self
    {
        return new self(0, 7 * $count);
    }

    public static function days(int $count): self
    {
        return new self(0, $count);
    }

    public function after(Day $day): Day
    {
        return $day->plusMonths($this->months)->plusDays($this->days);
    }
}
