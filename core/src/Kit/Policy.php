<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

use Sarcina\Core\Calendar\Day;

final readonly class Policy
{
    public function __construct(
        public ExpiryPolicy $expiry,
        public Day $nextCheck,
        public int $marginDays,
    ) {
    }

    /** A piece whose last good day is before this day expires early. */
    public function goodUntil(): Day
    {
        return $this->nextCheck->plusDays($this->marginDays);
    }
}
