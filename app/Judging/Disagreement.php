<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;

/** A count of a kit that disagrees with what is on record, where nobody knows which came first. It asks for a full check at once. */
final readonly class Disagreement
{
    /** Why a check is due. */
    public const KIND = 'disagreement';

    /**
     * @param  Day  $since  the day on which it was recorded
     * @param  bool  $isOfRows  pieces were moved while it was counted
     */
    public function __construct(
        public string $by,
        public Day $since,
        public bool $isOfRows,
        public CountDifference $difference,
    ) {
    }
}
