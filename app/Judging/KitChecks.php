<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Due\NextCheck;
use Sarcina\Core\Due\Schedule;

/** The checks of a kit with its modules: the state of each part, and when the whole is due. */
final readonly class KitChecks
{
    /**
     * @param  array<string, PartCheck>  $parts  by the prefix of the part; of a slot without its module too
     * @param  list<array{Schedule, NextCheck}>  $all  of the kit and its modules
     * @param  string|null  $dueIn  the module whose check is due first; null: the kit itself
     */
    public function __construct(
        public PartCheck $joined,
        private array $parts,
        public array $all,
        public Due $due,
        public int $graceDays,
        public ?string $dueIn,
    ) {
    }

    public function of(PlanPart $part): PartCheck
    {
        return $this->parts[$part->prefix];
    }
}
