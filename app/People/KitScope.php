<?php

declare(strict_types=1);

namespace App\People;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Scope;

/** What those who have a kit may use, why, and through which day that holds. */
final readonly class KitScope
{
    public function __construct(
        public Scope $scope,
        public string $because,
        public ?Day $holdsThrough,
    ) {
    }
}
