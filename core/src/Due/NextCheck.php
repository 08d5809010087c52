<?php

declare(strict_types=1);

namespace Sarcina\Core\Due;

use Sarcina\Core\Calendar\Day;

/** The answer of the `due` rule. All three are null where nothing asks for a check. */
final readonly class NextCheck
{
    public function __construct(
        public ?Day $day,
        public ?CheckKind $kind,
        public ?Because $because,
        public int $overdueDays,
    ) {
    }
}
