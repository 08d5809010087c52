<?php

declare(strict_types=1);

namespace Sarcina\Core\Places;

/** The nearest place, itself or what it is in, of which something is true. */
final class Nearest
{
    /**
     * @param  callable(string): ?string  $parentOf  the place that a place is in
     * @param  callable(string): bool  $is
     */
    public static function of(string $place, callable $parentOf, callable $is): ?string
    {
        for ($at = $place; $at !== null; $at = $parentOf($at)) {
            if ($is($at)) {
                return $at;
            }
        }

        return null;
    }
}
