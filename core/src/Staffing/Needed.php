<?php

declare(strict_types=1);

namespace Sarcina\Core\Staffing;

use Sarcina\Core\Kit\Scope;

/** How many first aiders a place asks for in a shift, trained to what. */
final readonly class Needed
{
    public function __construct(
        public string $shift,
        public Scope $scope,
        public int $count,
    ) {
    }
}
