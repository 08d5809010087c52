<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** One area of a site as it was assessed (rules.md, provision). */
final readonly class Area
{
    /**
     * @param  int  $people  the most on site at one time
     * @param  int  $points  floors, buildings or spots too far apart to share one kit, 1 or more
     * @param  list<Risk>  $risks
     */
    public function __construct(
        public string $name,
        public int $people,
        public Hazard $hazard,
        public int $points = 1,
        public int $loneWorkers = 0,
        public int $vehicles = 0,
        public bool $runningWater = true,
        public array $risks = [],
    ) {
    }

    /** No people, lone worker or vehicle. */
    public function isEmpty(): bool
    {
        return $this->people === 0 && $this->loneWorkers === 0 && $this->vehicles === 0;
    }
}
