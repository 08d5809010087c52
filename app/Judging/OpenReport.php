<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;

/** A report of use that waits for somebody to confirm or reject it. */
final readonly class OpenReport
{
    /**
     * @param  string  $kitId  the kit or module that it is about
     * @param  Day  $day  of the site, on which it came
     * @param  array<string, int>  $pieces  by the code of the item
     * @param  bool  $isCounted  a full check has counted the kit since: what was used is no longer on record
     * @param  string  $what  "2 × Burn gel sachet, 1 × Foil blanket"
     */
    public function __construct(
        public string $kitId,
        public Day $day,
        public array $pieces,
        public bool $isCounted,
        public string $what,
    ) {
    }
}
