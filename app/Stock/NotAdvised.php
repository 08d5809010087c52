<?php

declare(strict_types=1);

namespace App\Stock;

use Sarcina\Core\Advice\HeldBack;

/** Pieces that the store has and that had better not be put in, and why. */
final readonly class NotAdvised
{
    public function __construct(
        public PlannedIn $put,
        public HeldBack $because,
    ) {
    }
}
