<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

enum FindingKind: string
{
    case Short = 'short';
    case Expired = 'expired';
    case DateUnknown = 'date_unknown';
    case ExpiresEarly = 'expires_early';
    case Opened = 'opened';
    case Damaged = 'damaged';
    case Soiled = 'soiled';
    case Failed = 'failed';
    case Excluded = 'excluded';
    case BeyondScope = 'beyond_scope';
    case Unpaired = 'unpaired';
    case Superseded = 'superseded';
    case Surplus = 'surplus';
    case MostlyMissing = 'mostly_missing';
    case Overweight = 'overweight';
}
