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
     */
    public function __construct(
        public Verdict $now,
        public Verdict $then,
        public array $added,
        public array $moved,
        public array $removed,
    ) {
    }
}
