<?php

declare(strict_types=1);

namespace App\Ledger;

/** How far the record went that somebody had seen when they began. */
final readonly class Base
{
    /** @param  int  $epoch  begins anew with each restore from a backup */
    public function __construct(
        public int $epoch,
        public int $number,
    ) {
    }

    public function isBefore(int $operation): bool
    {
        return $this->number < $operation;
    }
}
