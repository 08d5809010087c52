<?php

declare(strict_types=1);

namespace App\People;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;

/** What those who have a kit may use, why, and through which day that holds. */
final readonly class KitScope
{
    /**
     * @param  Scope  $scope  the lowest of all shifts
     * @param  list<array{shift: string, scope: Scope}>  $shifts  none: it was set by hand
     * @param  string|null  $place  to which they are posted
     */
    public function __construct(
        public Scope $scope,
        public array $shifts,
        public ?string $place,
        public ?Day $holdsThrough,
    ) {
    }

    /** @return list<Scope> each that a shift has, the lowest first */
    public function each(): array
    {
        $each = [$this->scope->value => $this->scope];
        foreach ($this->shifts as $shift) {
            $each[$shift['scope']->value] = $shift['scope'];
        }

        return array_values($each);
    }

    /** Why it is this one: "as posted to … in every shift". */
    public function because(Scope $scope): string
    {
        $in = array_column(array_filter($this->shifts, static fn (array $shift): bool => $shift['scope'] === $scope), 'shift');
        $shifts = count($in) > 1 ? 'shifts' : 'shift';

        return match (true) {
            $this->place === null => 'set by hand: nobody is posted to its place or asked for there',
            count($in) === count($this->shifts) => "as posted to {$this->place} in every shift",
            default => "as posted to {$this->place} in the ".implode(' and ', $in)." {$shifts}",
        };
    }
}
