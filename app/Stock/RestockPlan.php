<?php

declare(strict_types=1);

namespace App\Stock;

/** What goes out of a kit, what goes in from the store, and what the store lacks. */
final readonly class RestockPlan
{
    /**
     * @param  list<PlannedOut>  $out
     * @param  list<PlannedIn>  $in
     * @param  list<Lacking>  $missing
     */
    public function __construct(
        public array $out,
        public array $in,
        public array $missing,
    ) {
    }
}
