<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** A kit as it was weighed, beside what its items weigh by the catalogue: in whole grams. */
final readonly class Weighing
{
    /** Per cent by which the two may differ before somebody is asked why: something is missing, or is there unseen. */
    public const ASK_OVER = 5;

    public function __construct(
        public int $computed,
        public int $weighed,
    ) {
    }

    /** Whether the two are further apart than so many per cent of what was computed. */
    public function isToExplain(): bool
    {
        return abs($this->weighed - $this->computed) * 100 > self::ASK_OVER * $this->computed;
    }
}
