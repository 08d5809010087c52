<?php

declare(strict_types=1);

namespace App\Ledger\Verification;

/** What verifying the record found. */
final readonly class Verified
{
    /**
     * @param  list<string>  $faults
     * @param  list<string>  $notes  what is no fault and has to be known: restores
     */
    public function __construct(
        public array $faults,
        public array $notes,
        public int $operations,
        public int $movements,
        public int $checks,
        public Replay $replay,
    ) {
    }

    public function isWhole(): bool
    {
        return $this->faults === [];
    }
}
