<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** From best to worst. */
enum Verdict: string
{
    case Ready = 'ready';
    case ReadyWithActions = 'ready_with_actions';
    // Nothing critical or required is asked for: there is nothing to be ready by. The `check` rule itself never says it (Judgement::standing).
    case NoRequirement = 'no_requirement';
    case Limited = 'limited';
    case NotReady = 'not_ready';

    public function isWorseThan(self $other): bool
    {
        $order = array_flip(array_column(self::cases(), 'value'));

        return $order[$this->value] > $order[$other->value];
    }
}
