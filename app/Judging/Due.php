<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Due\NextCheck;

/** When a kit's next check is due: by the `due` rule, or at once, for a reason of the application's own. */
final readonly class Due
{
    /** Pieces of it were reported used. */
    public const REPORT = 'report';

    /** The number on its seal was not the one on record. */
    public const SEAL_DOUBT = 'seal_doubt';

    /** Pieces came in that no check has counted, or a repack ended with everything put back. */
    public const RECHECK = 'recheck';

    private function __construct(
        public ?Day $day,
        public ?string $kind,
        public ?string $because,
        public int $overdueDays,
    ) {
    }

    public static function of(NextCheck $next): self
    {
        return new self($next->day, $next->kind?->value, $next->because?->value, $next->overdueDays);
    }

    /** At once, since that day, for a reason of the application's own. */
    public static function since(Day $day, string $because, Day $asOf): self
    {
        return new self($day, 'full', $because, max(0, $asOf->number - $day->number));
    }
}
