<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Doubts;

/** The open reports about a kit and its modules, as the core's doubts, and with what the page says about them. */
final readonly class KitDoubts
{
    /**
     * @param  list<OpenReport>  $reports  that wait for an answer, the earliest first
     * @param  list<NotStaged>  $notStaged  unprepared items, where the organisation asks about them
     * @param  array<string, SealDoubt>  $seals  by the kit or module
     * @param  array<string, Doubts>  $byKit
     */
    public function __construct(
        public ?BeingBuilt $repack,
        public array $reports,
        public array $notStaged,
        public array $seals,
        private array $byKit,
        public Doubts $joined,
        public bool $asksPrepared,
    ) {
    }

    public function of(Kit $part): Doubts
    {
        return $this->byKit[$part->id] ?? new Doubts;
    }

    /** Finds the day of the first report of use that no full check has answered, or returns null. */
    public function reportedOn(): ?Day
    {
        foreach ($this->reports as $report) {
            if (! $report->isCounted) {
                return $report->day;
            }
        }

        return null;
    }

    /** Finds the day on which the first seal was read wrongly, or returns null. */
    public function sealDoubtedOn(): ?Day
    {
        $first = null;
        foreach ($this->seals as $seal) {
            $first = $first === null || $seal->day->isBefore($first) ? $seal->day : $first;
        }

        return $first;
    }
}
