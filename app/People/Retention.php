<?php

declare(strict_types=1);

namespace App\People;

use App\Accounts\Models\Organisation;
use App\People\Models\FirstAider;
use App\People\Models\Qualification;
use Carbon\CarbonImmutable;

/** How long a record about a first aider is kept: so many days after they left, or their last qualification expired. */
final class Retention
{
    public function __construct(private readonly Organisation $organisation)
    {
    }

    public function isOver(FirstAider $one, string $today): bool
    {
        $goesOn = $this->goesOn($one);

        return $goesOn !== null && $goesOn <= $today;
    }

    /** The day on which the record goes; null while somebody is valid, or was never qualified and has not left. */
    public function goesOn(FirstAider $one): ?string
    {
        $held = $one->qualifications;
        $allExpire = $held->isNotEmpty() && $held->every(static fn (Qualification $qualification): bool => $qualification->expires_on !== null);
        $ends = array_filter([$one->ended_on, $allExpire ? $held->max('expires_on') : null]);

        return $ends === [] ? null : CarbonImmutable::parse(min($ends))->addDays((int) $this->organisation->people_kept_days + 1)->toDateString();
    }
}
