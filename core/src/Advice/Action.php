<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

/** What mends a finding: who keeps the kit restocks it, removes something or checks it; who is responsible sees to its people or its list. */
enum Action: string
{
    case Restock = 'restock';
    case Check = 'check';
    case Remove = 'remove';
    case People = 'people';
    case Leave = 'leave';
}
