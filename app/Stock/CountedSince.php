<?php

declare(strict_types=1);

namespace App\Stock;

use App\Ledger\OperationSince;
use App\Ledger\WhenDone;

/** A full check that was recorded since somebody began, and that came after them, or may have. */
final readonly class CountedSince
{
    private function __construct(public string $because, public int $number)
    {
    }

    /**
     * Finds the full check that decides, or returns null where each came clearly before.
     *
     * @param  list<OperationSince>  $since
     */
    public static function of(array $since, WhenDone $when): ?self
    {
        $doubtful = null;
        foreach ($since as $one) {
            if (! $one->isStandingFullCheck() || $when->isClearlyAfter($one->when)) {
                continue;
            }
            if ($one->when->isClearlyAfter($when)) {
                return new self(LateMovements::COUNTED_LATER, $one->number);
            }
            $doubtful = $one;
        }

        return $doubtful === null ? null : new self(LateMovements::IN_DOUBT, $doubtful->number);
    }
}
