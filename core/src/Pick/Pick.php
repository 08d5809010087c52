<?php

declare(strict_types=1);

namespace Sarcina\Core\Pick;

/** Pieces to take from one row of the store. */
final readonly class Pick
{
    /** @param  int  $row place in the store, 0 first */
    public function __construct(
        public int $row,
        public StoredLot $from,
        public int $quantity,
        public bool $shortDated,
    ) {
    }
}
