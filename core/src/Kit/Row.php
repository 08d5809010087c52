<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;

/** One row of a kit's contents: pieces of one item and lot, alike in date and condition, in one pocket. */
final readonly class Row
{
    public function __construct(
        public ?string $pocket,
        public Item $item,
        public ?string $lot,
        public ?PrintedDate $expires,
        public int $quantity,
        public Condition $condition,
    ) {
    }

    public function isExpired(Day $asOf): bool
    {
        return $this->expires !== null && $this->expires->isPastOn($asOf);
    }

    /** Whether it may be used somewhere: good, and not past its date. */
    public function isGoodOn(Day $day): bool
    {
        return $this->condition === Condition::Good && ! $this->isExpired($day);
    }

    public function lacksItsDate(): bool
    {
        return $this->item->dated && $this->expires === null;
    }

    /** Whether its last good day is before `$until`. Undated pieces never expire. */
    public function expiresBefore(Day $until): bool
    {
        return $this->expires !== null && $this->expires->lastGoodDay->isBefore($until);
    }
}
