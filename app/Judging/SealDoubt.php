<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Calendar\Day;

/** A seal whose number was read wrongly, and neither read again nor answered by a full check. */
final readonly class SealDoubt
{
    /** @param  string|null  $module  the code of the module that it is on, where it is not on the kit itself */
    public function __construct(public Day $day, public ?string $module)
    {
    }
}
