<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

/** Why a check is asked for; on a tie the order of the cases decides. */
enum Because: string
{
    case First = 'first';
    case Seal = 'seal';
    case Use = 'use';
    case Expiry = 'expiry';
    case Season = 'season';
    case Interval = 'interval';
    case Event = 'event';
}
