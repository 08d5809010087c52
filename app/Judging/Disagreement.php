<?php

declare(strict_types=1);

namespace App\Judging;

use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;

/**
 * A look at a kit that disagrees with what is on record, and of which nobody knows whether it came first. It lowers the verdict
 * and never raises it, and it asks for a full check at once.
 */
final readonly class Disagreement
{
    /** As a finding: by whom, and since when. */
    public const KIND = 'disagreement';

    private const OF_ROWS = 'rows';

    /** @param  Day  $since  the day on which it was recorded */
    public function __construct(
        public Verdict $verdict,
        public int $operation,
        public string $by,
        public Day $since,
        public bool $isOfRows,
    ) {
    }

    public function fact(Severity $severity): CheckFinding
    {
        return new CheckFinding(
            self::KIND, $severity->value, null, $this->by, null, null, null, (string) $this->since, null, null,
            $this->isOfRows ? self::OF_ROWS : null,
        );
    }

    public static function say(CheckFinding $fact): string
    {
        $day = Words::date((string) $fact->goodUntil);

        return $fact->detail === self::OF_ROWS
            ? "Something was put in or taken out while {$fact->subject} checked this kit on {$day}: which came first is not known"
            : "The check by {$fact->subject} of {$day} disagrees with another one made at about the same time";
    }
}
