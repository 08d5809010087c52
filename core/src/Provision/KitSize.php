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

    /** How many steps larger than `$wanted` this kit is, 0 the same; null where it cannot stand in for it: never the smaller for the larger. */
    public function standsInFor(self $wanted): ?int
    {
        $step = $this->rung() - $wanted->rung();

        return $this->family() === $wanted->family() && $step >= 0 ? $step : null;
    }

    /** Whether it is for the place itself, not for a lone worker or a vehicle. */
    public function isForThePlace(): bool
    {
        return $this !== self::Travel && $this !== self::Vehicle;
    }

    private function family(): int
    {
        return match ($this) {
            self::Small, self::Medium, self::Large => 0,
            self::ClassA, self::ClassB => 1,
            self::Travel => 2,
            self::Vehicle => 3,
        };
    }

    private function rung(): int
    {
        return match ($this) {
            self::Small, self::ClassA, self::Travel, self::Vehicle => 0,
            self::Medium, self::ClassB => 1,
            self::Large => 2,
        };
    }
}
