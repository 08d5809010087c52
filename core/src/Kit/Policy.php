<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

use Sarcina\Core\Calendar\Day;

/** The policy that a kit is judged by: dates, checks and preparation. */
final readonly class Policy
{
    /**
     * @param  Day  $nextCheck  the next planned check, counted as if a check that is due were done today
     * @param  int|null  $notReadyAfterDays  days after which an overdue kit is not ready; null: never
     * @param  bool  $prepared  whether an unprepared item is a fault
     */
    public function __construct(
        public ExpiryPolicy $expiry,
        public Day $nextCheck,
        public int $marginDays,
        public ?int $notReadyAfterDays = null,
        public bool $prepared = false,
    ) {
    }

    /** A piece whose last good day is before this day expires early. */
    public function goodUntil(): Day
    {
        return $this->nextCheck->plusDays($this->marginDays);
    }
}
