<?php

declare(strict_types=1);

namespace App\Uses;

/** How often an item was used, and how many pieces of it. */
final readonly class UsedItem
{
    public function __construct(public int $uses, public int $pieces)
    {
    }

    /** Rounded up: what is carried is to be enough. */
    public function piecesPerUse(): int
    {
        return $this->uses === 0 ? 1 : max(1, intdiv($this->pieces + $this->uses - 1, $this->uses));
    }
}
