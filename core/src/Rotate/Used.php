<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

/** How fast one place uses one item. */
final readonly class Used
{
    /** @param  Rate|null  $rate  null where it uses none */
    public function __construct(public string $place, public string $item, public ?Rate $rate)
    {
    }
}
