<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** From best to worst. */
enum Verdict: string
{
    case Ready = 'ready';
    case ReadyWithActions = 'ready_with_actions';
    case Limited = 'limited';
    case NotReady = 'not_ready';

    public function isWorseThan(self $other): bool
    {
        return array_search($this, self::cases(), true) > array_search($other, self::cases(), true);
    }
}
