<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;

/** The state of the checks of a kit or of a part of it. */
final readonly class PartCheck
{
    /**
     * @param  Day|null  $lastFull  null: never checked
     * @param  Day|null  $dueOn  null: nothing asks for a check
     * @param  int  $graceDays  after that day before the check is overdue
     * @param  Day  $nextCheck  the next planned check, through which contents must be good
     */
    public function __construct(
        public ?Day $lastFull,
        public ?Day $dueOn,
        public int $graceDays,
        public Day $nextCheck,
    ) {
    }
}
