<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

/** Why a list cannot be judged with the items it is to be judged with, and at which line. */
final readonly class Clash
{
    /** @param  bool  $isOfTotal  of the total that the line asks for, not of what it accepts */
    public function __construct(
        public int $line,
        public bool $isOfTotal,
        public string $message,
    ) {
    }
}
