<?php

declare(strict_types=1);

namespace App\Stock;

/** What goes into a kit from the store and out of it, in the order in which it is done; what stays, what is not advised and what the store lacks. */
final readonly class RestockPlan
{
    /**
     * @param  list<PlannedIn|PlannedOut>  $steps
     * @param  list<PlannedOut>  $stays  what should leave and still counts, until something replaces it
     * @param  list<NotAdvised>  $notAdvised
     * @param  list<Lacking>  $missing
     * @param  list<OnShelf>  $shelf  what lies good in the store
     */
    public function __construct(
        public array $steps,
        public array $stays,
        public array $notAdvised,
        public array $missing,
        public array $shelf = [],
    ) {
    }

    /** @param  list<OnShelf>  $shelf */
    public function from(array $shelf): self
    {
        return new self($this->steps, $this->stays, $this->notAdvised, $this->missing, $shelf);
    }

    /** @return list<PlannedOut> */
    public function out(): array
    {
        return array_values(array_filter($this->steps, static fn ($step): bool => $step instanceof PlannedOut));
    }

    /** @return list<PlannedIn> */
    public function in(): array
    {
        return array_values(array_filter($this->steps, static fn ($step): bool => $step instanceof PlannedIn));
    }
}
