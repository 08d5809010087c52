<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Due\NextCheck;

/** When a kit's next check is due: by the `due` rule, or at once, for a reason of the application's own. */
final readonly class Due
{
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

    public static function forDisagreement(Disagreement $disagreement, Day $asOf): self
    {
        return new self($disagreement->since, 'full', 'disagreement', max(0, $asOf->number - $disagreement->since->number));
    }
}
