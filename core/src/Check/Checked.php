<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Calendar\Day;

/** When a kit was last checked in full, and when its next check is due (rules.md, check). */
final readonly class Checked
{
    /**
     * @param  Day|null  $lastFull  null: it was never checked
     * @param  Day|null  $dueOn  the earliest unanswered due day; null: nothing asks for a check
     */
    public function __construct(
        public ?Day $lastFull,
        public ?Day $dueOn,
    ) {
    }

    /** Says whether the check is overdue by more than so many days. */
    public function isOverdue(Day $asOf, int $days = 0): bool
    {
        return $this->dueOn !== null && $asOf->isAfter($this->dueOn->plusDays($days));
    }
}
