<?php

declare(strict_types=1);

namespace App\Designs;

use Sarcina\Core\Check\Verdict;

/** What adopting another edition does to one kit. */
final readonly class AdoptionEffect
{
    /**
     * @param  list<string>  $added  what it would lack then
     * @param  list<PocketMove>  $moved  pieces that lie in another pocket then
     * @param  list<string>  $removed  pieces that no line asks for any more
     * @param  int|null  $massNow  grams, as it lies
     * @param  int|null  $massThen  grams, with what is added and without what is removed
     * @param  int|null  $cost  of what is added, in whole minor units, by the piece of the cheapest pack
     * @param  int  $withoutPrice  added items without a price
     */
    public function __construct(
        public Verdict $now,
        public Verdict $then,
        public array $added,
        public array $moved,
        public array $removed,
        public ?int $massNow = null,
        public ?int $massThen = null,
        public ?int $cost = null,
        public int $withoutPrice = 0,
    ) {
    }
}
