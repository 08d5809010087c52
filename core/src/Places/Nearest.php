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

    /**
     * The candidate that shares the nearest place with this one, as few steps up as can be: the one that is that place before those within
     * it; of those alike, the first.
     *
     * @param  callable(string): ?string  $parentOf
     * @param  list<string>  $candidates
     * @return string|null null where none shares any place with it
     */
    public static function among(string $place, callable $parentOf, array $candidates): ?string
    {
        $up = self::stepsUp($place, $parentOf);
        $nearest = null;
        $best = null;
        foreach ($candidates as $candidate) {
            foreach (array_keys(self::stepsUp($candidate, $parentOf)) as $at) {
                if (isset($up[$at])) {
                    $distance = [$up[$at], $at !== $candidate];
                    if ($best === null || $distance < $best) {
                        [$nearest, $best] = [$candidate, $distance];
                    }
                    break;
                }
            }
        }

        return $nearest;
    }

    /**
     * @param  callable(string): ?string  $parentOf
     * @return array<string, int> itself and the places that it is in, with the steps to each
     */
    private static function stepsUp(string $place, callable $parentOf): array
    {
        $steps = [];
        for ($at = $place; $at !== null; $at = $parentOf($at)) {
            $steps[$at] = count($steps);
        }

        return $steps;
    }
}
