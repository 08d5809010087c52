<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;

/** A repack that somebody began and has not finished: any piece may be out of the kit. */
final readonly class BeingBuilt
{
    /**
     * @param  Day  $since  of the site
     * @param  string|null  $module  the code of the module that it is, where it is not the kit itself
     */
    public function __construct(
        public string $by,
        public Day $since,
        public ?string $module = null,
    ) {
    }
}
