<?php

declare(strict_types=1);

namespace Sarcina\Core\Staffing;

use Sarcina\Core\Calendar\Day;

/** When people serve: on these days of the week, from one minute of the site's clock to another. */
final readonly class Shift
{
    /**
     * @param  list<int>  $weekdays  on which it begins: 1 Monday to 7 Sunday
     * @param  int  $from  minutes after midnight, 0 to 1439
     * @param  int  $to  the same, and no longer in it; at or before $from: on the day after
     */
    public function __construct(
        public string $name,
        public array $weekdays,
        public int $from,
        public int $to,
    ) {
    }

    public function isOn(Day $day, int $minute): bool
    {
        $isOvernight = $this->to <= $this->from;
        $began = $this->beginsOn($day) && $minute >= $this->from && ($isOvernight || $minute < $this->to);

        return $began || ($isOvernight && $this->beginsOn($day->plusDays(-1)) && $minute < $this->to);
    }

    private function beginsOn(Day $day): bool
    {
        return in_array($day->weekday(), $this->weekdays, true);
    }
}
