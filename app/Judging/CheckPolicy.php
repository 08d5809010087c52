<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Due\Interval;
use Sarcina\Core\Kit\ExpiryPolicy;

/** How kits of a design are kept: what becomes of pieces past their date, and when they are checked. */
final readonly class CheckPolicy
{
    /**
     * @param  int  $marginDays  days after the next check that pieces must still be good
     * @param  int  $graceDays  days after a check is due before it is overdue
     * @param  Interval|null  $every  null where checks go by season or event alone
     * @param  list<SeasonDay>  $seasons
     * @param  int|null  $notReadyAfterDays  days after which an overdue kit is not ready; null: its interval, 90 days where it has none
     * @param  bool  $sealed  whether kits of this design carry a seal
     */
    public function __construct(
        public ExpiryPolicy $expiry,
        public int $marginDays,
        public int $graceDays,
        public ?Interval $every,
        public array $seasons,
        public bool $beforeEvents,
        public bool $afterUse,
        public bool $sealed,
        public ?int $notReadyAfterDays = null,
    ) {
    }

    /** @param  string|null  $unit  days, weeks or months; null: checks go by season or event alone */
    public static function interval(?string $unit, ?int $count): ?Interval
    {
        return match ($unit) {
            'months' => Interval::months((int) $count),
            'weeks' => Interval::weeks((int) $count),
            'days' => Interval::days((int) $count),
            default => null,
        };
    }
}
