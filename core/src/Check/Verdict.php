<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

enum Verdict: string
{
    case Ready = 'ready';
    case ReadyWithActions = 'ready_with_actions';
    case Limited = 'limited';
    case NotReady = 'not_ready';
}
