<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Calendar\SeasonDay;

/** The rhythm in which a kit is checked and what has happened to it: what the `due` rule looks at. */
final readonly class Schedule
{
    /**
     * @param  list<SeasonDay>  $seasons
     * @param  list<Day>  $events
     * @param  Day|null  $usedOn  null once a full check has answered it, and so is `$sealBrokenOn`
     */
    public function __construct(
        public Day $asOf,
        public ?Interval $every = null,
        public array $seasons = [],
        public bool $beforeEvents = false,
        public array $events = [],
        public bool $afterUse = true,
        public ?Day $usedOn = null,
        public Seal $seal = Seal::None,
        public ?Day $sealBrokenOn = null,
        public ?Day $lastFull = null,
        public ?Day $lastQuick = null,
        public ?PrintedDate $earliestExpiry = null,
        public int $marginDays = 0,
        public int $graceDays = 0,
    ) {
    }

    /** Returns the same schedule as of another day. */
    public function on(Day $asOf): self
    {
        return new self(
            $asOf, $this->every, $this->seasons, $this->beforeEvents, $this->events, $this->afterUse, $this->usedOn, $this->seal,
            $this->sealBrokenOn, $this->lastFull, $this->lastQuick, $this->earliestExpiry, $this->marginDays, $this->graceDays,
        );
    }
}
