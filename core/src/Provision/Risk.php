<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** What can happen in an area, each with a module of its own (rules.md, provision). */
enum Risk: string
{
    case Burn = 'burn';
    case Eye = 'eye';
    case SevereBleeding = 'severe_bleeding';
    case Cold = 'cold';
    case Heat = 'heat';
    case BiteSting = 'bite_sting';
    case Sharps = 'sharps';
    case Children = 'children';
    case Remote = 'remote';
    case Water = 'water';

    /** The module where there is no running water: it follows from the place, not from a risk. */
    public const NO_RUNNING_WATER = 'no_running_water';

    public function words(): string
    {
        return match ($this) {
            self::Burn => 'burns',
            self::Eye => 'eye injuries',
            self::SevereBleeding => 'severe bleeding',
            self::Cold => 'cold',
            self::Heat => 'heat',
            self::BiteSting => 'bites and stings',
            self::Sharps => 'sharps',
            self::Children => 'children',
            self::Remote => 'distance to help',
            self::Water => 'water',
        };
    }
}
