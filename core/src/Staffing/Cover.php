<?php

declare(strict_types=1);

namespace Sarcina\Core\Staffing;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;

/**
 * Who may use what at a place, and where people are too few.
 *
 * A kit's scope at a place is what somebody may use in *every* shift that is named there: what nobody in the
 * night shift may use is not there at night. A qualification counts through its last day.
 */
final readonly class Cover
{
    /**
     * @param  Scope|null  $scope  the lowest of all shifts; null where nobody is asked for and nobody assigned
     * @param  list<array{shift: string, scope: Scope}>  $scopes  of each shift by itself, in the order of their names
     * @param  list<array{needed: Needed, there: int}>  $shifts
     * @param  Day|null  $holdsThrough  the last day on which this holds by the calendar alone
     */
    private function __construct(
        public ?Scope $scope,
        public array $scopes,
        public array $shifts,
        public ?Day $holdsThrough,
    ) {
    }

    /**
     * @param  list<Needed>  $needs  a shift and scope once
     * @param  list<Posting>  $postings
     */
    public static function of(Day $asOf, array $needs, array $postings): self
    {
        $valid = array_values(array_filter($postings, static fn (Posting $posting): bool => $posting->isValidOn($asOf)));
        $best = [];
        foreach ([...$needs, ...$postings] as $named) {
            $best['.'.$named->shift] = Scope::Anyone;
        }
        foreach ($valid as $posting) {
            if ($posting->scope->isAbove($best['.'.$posting->shift])) {
                $best['.'.$posting->shift] = $posting->scope;
            }
        }
        ksort($best);
        $lowest = null;
        $scopes = [];
        foreach ($best as $shift => $scope) {
            $scopes[] = ['shift' => substr($shift, 1), 'scope' => $scope];
            $lowest = $lowest === null || $lowest->isAbove($scope) ? $scope : $lowest;
        }
        $until = null;
        foreach ($valid as $posting) {
            if ($posting->goodUntil !== null && ($until === null || $posting->goodUntil->isBefore($until))) {
                $until = $posting->goodUntil;
            }
        }

        return new self(
            $lowest,
            $scopes,
            array_map(static fn (Needed $needed): array => ['needed' => $needed, 'there' => self::count($needed, $valid)], $needs),
            $until,
        );
    }

    /** @param  list<Posting>  $valid */
    private static function count(Needed $needed, array $valid): int
    {
        $people = [];
        foreach ($valid as $posting) {
            if ($posting->shift === $needed->shift && ! $needed->scope->isAbove($posting->scope)) {
                $people['.'.$posting->person] = $posting->person;
            }
        }

        return count($people);
    }
}
