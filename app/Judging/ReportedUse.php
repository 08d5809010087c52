<?php

declare(strict_types=1);

namespace App\Judging;

use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;

/**
 * What somebody said was used, and nobody has confirmed or rejected. The kit is judged as though those pieces were gone, and is never
 * better than ready with actions due: a report lowers the verdict and never raises it.
 */
final readonly class ReportedUse
{
    public const KIND = 'reported_use';

    private const COUNTED = 'counted';

    /**
     * @param  list<OpenReport>  $reports  earliest first
     * @param  Verdict  $verdict  as though the pieces were gone that no full check has counted since
     */
    public function __construct(public array $reports, public Verdict $verdict)
    {
    }

    /** The day of the first that no full check has answered; null: all were counted since. */
    public function since(): ?Day
    {
        foreach ($this->reports as $report) {
            if (! $report->isCounted) {
                return $report->day;
            }
        }

        return null;
    }

    /** @return list<CheckFinding> one for each report */
    public function facts(): array
    {
        $severity = $this->verdict === Verdict::NotReady ? Severity::Stop : Severity::Fix;

        return array_map(static fn (OpenReport $report): CheckFinding => new CheckFinding(
            self::KIND, ($report->isCounted ? Severity::Fix : $severity)->value, null, mb_substr($report->what, 0, 160), null, null, null,
            (string) $report->day, null, null, $report->isCounted ? self::COUNTED : null,
        ), $this->reports);
    }

    public static function say(CheckFinding $fact): string
    {
        $day = Words::date((string) $fact->goodUntil);

        return "Reported used on {$day}, unconfirmed: {$fact->subject}".($fact->detail === self::COUNTED ? '. Counted in full since' : '');
    }
}
