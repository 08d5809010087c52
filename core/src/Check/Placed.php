<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** Pieces of one row that serve a line, under the entry of that preference. */
final readonly class Placed
{
    /** @param  int  $row place in the contents, 0 first */
    public function __construct(
        public int $row,
        public int $quantity,
        public int $preference,
        public bool $reserve,
    ) {
    }
}
