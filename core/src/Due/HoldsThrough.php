<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;

/** Finds the last day through which a kit's status holds by the calendar alone. */
final class HoldsThrough
{
    /** @var list<Day> last days of something, each on or after `asOf` */
    private array $days = [];

    private function __construct(private readonly Day $asOf)
    {
    }

    /**
     * @param  list<Assignment>  $documents  of the kit, for each shift and part
     * @param  list<array{Schedule, NextCheck}>  $schedules  of the kit and its modules, each with its next check
     * @param  Day|null  $due  the next check of the kit as a whole
     * @param  list<Day>  $others  last days of what the caller knows: a qualification, the day before a planned line
     * @return Day|null  null where nothing ever changes by the calendar
     */
    public static function of(Day $asOf, array $documents, array $schedules, ?Day $due, array $others = []): ?Day
    {
        $holds = new self($asOf);
        foreach ($documents as $document) {
            $holds->document($document);
        }
        foreach ($schedules as [$schedule, $next]) {
            $holds->through(PlannedCheck::holdsThrough($schedule), Due::holdsThrough($schedule, $next));
        }
        $holds->through(...Urgency::lastDays($due, $asOf), ...$others);
        $first = null;
        foreach ($holds->days as $day) {
            $first = $first === null || $day->isBefore($first) ? $day : $first;
        }

        return $first;
    }

    private function document(Assignment $document): void
    {
        foreach ([$document->counted, ...$document->alsoCounted] as $rows) {
            foreach ($rows as $row) {
                $this->through($row->lastGoodDay());
            }
        }
        $dueOn = $document->checked?->dueOn;
        $days = $document->policy->notReadyAfterDays;
        $this->through($dueOn, $days === null ? null : $dueOn?->plusDays($days));
    }

    private function through(?Day ...$days): void
    {
        foreach ($days as $day) {
            if ($day !== null && ! $day->isBefore($this->asOf)) {
                $this->days[] = $day;
            }
        }
    }
}
