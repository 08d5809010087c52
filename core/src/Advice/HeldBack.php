<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

/** Why pieces had better not be moved. */
enum HeldBack: string
{
    /** They still count, and nothing in the store replaces them. */
    case StillCounts = 'still_counts';
    case NoCompanion = 'no_companion';
    case Overweight = 'overweight';
    /** What would replace a piece expires no later than it. */
    case ExpiresNoLater = 'expires_no_later';
    case LowersVerdict = 'lowers_verdict';
}
