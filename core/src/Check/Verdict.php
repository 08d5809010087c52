<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** The verdict of the `check` rule, from best to worst. */
enum Verdict: string
{
    case Ready = 'ready';
    case ReadyWithActions = 'ready_with_actions';
    /** The list has no critical or required line: nothing says what ready means. */
    case NoRequirement = 'no_requirement';
    case Limited = 'limited';
    case NotChecked = 'not_checked';
    case NotReady = 'not_ready';

    public function isWorseThan(self $other): bool
    {
        return $this->rank() > $other->rank();
    }

    /** Returns the worse of two verdicts. */
    public function orWorse(self $other): self
    {
        return $other->isWorseThan($this) ? $other : $this;
    }

    private function rank(): int
    {
        return match ($this) {
            self::Ready => 0,
            self::ReadyWithActions => 1,
            self::NoRequirement => 2,
            self::Limited => 3,
            self::NotChecked => 4,
            self::NotReady => 5,
        };
    }
}
