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
    case Recalled = 'recalled';
    case Excluded = 'excluded';
    case BeyondScope = 'beyond_scope';
    case Unpaired = 'unpaired';
    case Superseded = 'superseded';
    case Surplus = 'surplus';
    case ReportedUsed = 'reported_used';
    case Unprepared = 'unprepared';
    case MostlyMissing = 'mostly_missing';
    case Overweight = 'overweight';
    case Repacking = 'repacking';
    case Seal = 'seal';
    case Unchecked = 'unchecked';
    case Overdue = 'overdue';
    case Disputed = 'disputed';

    /** Says whether this rests on a report about an item. */
    public function isReported(): bool
    {
        return $this === self::ReportedUsed || $this === self::Unprepared;
    }

    /** Says whether this is found of the kit as a whole. */
    public function isOfKit(): bool
    {
        return match ($this) {
            self::MostlyMissing, self::Overweight, self::Repacking, self::Seal, self::Unchecked, self::Overdue, self::Disputed => true,
            default => false,
        };
    }
}
