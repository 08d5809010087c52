<?php

declare(strict_types=1);

namespace Sarcina\Core\Staffing;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;

/** Somebody assigned to a place for a shift, with one qualification. */
final readonly class Posting
{
    /** @param  Day|null  $goodUntil  the last day of the qualification; null where it does not run out */
    public function __construct(
        public string $person,
        public string $shift,
        public Scope $scope,
        public ?Day $goodUntil,
    ) {
    }

    public function isValidOn(Day $day): bool
    {
        return $this->goodUntil === null || ! $this->goodUntil->isBefore($day);
    }
}
