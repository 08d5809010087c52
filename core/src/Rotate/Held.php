<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;

/** Pieces of one lot of an item that lie at one place. */
final readonly class Held
{
    /** @param  bool  $isFixed  they stay at their place */
    public function __construct(
        public string $place,
        public string $item,
        public ?string $lot,
        public ?PrintedDate $expires,
        public int $quantity,
        public bool $isFixed = false,
    ) {
    }

    public function isExpired(Day $asOf): bool
    {
        return $this->expires?->isPastOn($asOf) ?? false;
    }
}
