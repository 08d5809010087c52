<?php

declare(strict_types=1);

namespace App\Judging;

/** One leaf of a kit that lies opened flat, with its pockets. */
final readonly class PlanLeaf
{
    /** @param  list<PlanPocket>  $pockets */
    public function __construct(
        public string $name,
        public array $pockets,
    ) {
    }
}
