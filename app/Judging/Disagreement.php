<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Verdict;

/**
 * A look at a kit that disagrees with what is on record, and of which nobody knows whether it came first. It lowers the verdict
 * and never raises it, and it asks for a full check at once.
 */
final readonly class Disagreement
{
    /** @param  Day  $since  the day on which it was recorded */
    public function __construct(
        public Verdict $verdict,
        public int $operation,
        public string $by,
        public Day $since,
        public bool $isOfRows,
    ) {
    }

    public function text(): string
    {
        $day = Words::date((string) $this->since);

        return $this->isOfRows
            ? "Something was put in or taken out while {$this->by} checked this kit on {$day}: which came first is not known"
            : "The check by {$this->by} of {$day} disagrees with another one made at about the same time";
    }
}
