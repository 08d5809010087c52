<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;

/** One row of a kit's contents: pieces of one item and lot, alike in date and condition, in one pocket. */
final readonly class Row
{
    /** @param  Day|null  $openedOn  of an opened one, where it is known */
    public function __construct(
        public ?string $pocket,
        public Item $item,
        public ?string $lot,
        public ?PrintedDate $expires,
        public int $quantity,
        public Condition $condition,
        public ?Day $openedOn = null,
    ) {
    }

    /** Whether it is opened and used up within its opened life: then it stands like one in good condition. */
    public function isInUse(): bool
    {
        return $this->condition === Condition::Opened && $this->openedOn !== null && $this->item->afterOpeningDays !== null;
    }

    /** Whether its condition lets it count: good, or in use. */
    public function isSound(): bool
    {
        return $this->condition === Condition::Good || $this->isInUse();
    }

    /** The last day on which it is good: the printed one, or that of its opened life where that is earlier; null where neither ends. */
    public function lastGoodDay(): ?Day
    {
        $printed = $this->expires?->lastGoodDay;
        if (! $this->isInUse() || $this->openedOn === null) {
            return $printed;
        }
        $opened = $this->openedOn->plusDays((int) $this->item->afterOpeningDays);

        return $printed === null || $opened->isBefore($printed) ? $opened : $printed;
    }

    public function isExpired(Day $asOf): bool
    {
        $last = $this->lastGoodDay();

        return $last !== null && $asOf->isAfter($last);
    }

    /** Whether it may be used elsewhere: whole, good, and not past its date. */
    public function isGoodOn(Day $day): bool
    {
        return $this->condition === Condition::Good && ! $this->isExpired($day);
    }

    /** Returns this row with another number of pieces. */
    public function withQuantity(int $quantity): self
    {
        return new self($this->pocket, $this->item, $this->lot, $this->expires, $quantity, $this->condition, $this->openedOn);
    }

    /** Returns this row as if its pieces had failed their function test. */
    public function failed(): self
    {
        return new self($this->pocket, $this->item, $this->lot, $this->expires, $this->quantity, Condition::Failed);
    }

    public function lacksItsDate(): bool
    {
        return $this->item->dated && $this->expires === null;
    }

    /** Whether its last good day is before `$until`. Undated pieces never expire. */
    public function expiresBefore(Day $until): bool
    {
        return $this->lastGoodDay()?->isBefore($until) ?? false;
    }
}
