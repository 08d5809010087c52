<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Lists\Rank;

/** Pieces that may go into a kit or out of it, before it is known whether they had better. */
final readonly class Move
{
    /**
     * @param  int  $turn  0 before 1: what is tried first
     * @param  int  $pocket  the place of its pocket in the walk
     */
    private function __construct(
        public bool $isIn,
        public int $pieces,
        public int $turn,
        public bool $isOptional,
        public int $pocket,
    ) {
    }

    /**
     * @param  Rank|null  $rank  of the line that they are for; null for a companion
     * @param  bool  $isNeeded  whether something else that goes in does not work without it: it comes before that
     */
    public static function in(int $pieces, ?Rank $rank, bool $isNeeded = false, int $pocket = 0): self
    {
        $turn = match ($isNeeded ? null : $rank) {
            null => 0,
            Rank::Critical => 1,
            Rank::Required => 2,
            Rank::Optional => 3,
        };

        return new self(true, $pieces, $turn, $rank === null || $rank === Rank::Optional, $pocket);
    }

    /** Says whether doing this move leaves the kit no worse; pieces that leave must not leave anything without its companion either. */
    public function isSafe(Standing $before, Standing $after): bool
    {
        return $after->isNoWorseThan($before) && ($this->isIn || $after->unpaired <= $before->unpaired);
    }

    public static function out(int $pieces, int $pocket = 0): self
    {
        return new self(false, $pieces, 4, false, $pocket);
    }
}
