<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** What was to be recorded rests on contents that have changed since; it is refused with what changed, not written over them. */
final class Stale extends RuntimeException
{
    /** @param  list<string>  $changes  in words, one a change */
    public function __construct(
        string $message,
        public readonly array $changes,
        public readonly int $lastMovement,
    ) {
        parent::__construct($message);
    }
}
