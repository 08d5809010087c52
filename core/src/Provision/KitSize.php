<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** What kinds of kit a plan asks for (rules.md, provision). */
enum KitSize: string
{
    case Small = 'small';
    case Medium = 'medium';
    case Large = 'large';
    case ClassA = 'class-a';
    case ClassB = 'class-b';
    case Travel = 'travel';
    case Vehicle = 'vehicle';

    /** Kits of one ladder can stand in for one another, from the smallest to the largest. */
    private const LADDERS = [['small', 'medium', 'large'], ['class-a', 'class-b'], ['travel'], ['vehicle']];

    /** How many steps larger than `$wanted` this kit is, 0 the same; null where it cannot stand in for it: never the smaller for the larger. */
    public function standsInFor(self $wanted): ?int
    {
        foreach (self::LADDERS as $ladder) {
            $steps = array_flip($ladder);
            if (isset($steps[$this->value], $steps[$wanted->value])) {
                return $steps[$this->value] >= $steps[$wanted->value] ? $steps[$this->value] - $steps[$wanted->value] : null;
            }
        }

        return null;
    }

    /** Whether it is for the place itself, not for a lone worker or a vehicle. */
    public function isForThePlace(): bool
    {
        return $this !== self::Travel && $this !== self::Vehicle;
    }
}
