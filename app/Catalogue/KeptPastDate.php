<?php

declare(strict_types=1);

namespace App\Catalogue;

/** Of which classes pieces past their date may never quietly count as reserve: whoever enters such an item says so, or they do not. */
final class KeptPastDate
{
    /** Medicines, gels, rinses, injectors, batteries and pads: what spoils, or fails without being seen to. */
    public const NEEDS_SAYING = [
        'medicine', 'injector', 'gel', 'food.glucose', 'dressing.burn', 'wash', 'irrigation', 'power', 'defibrillator',
    ];

    /** Whether it has to be said for an item of this class; of all others expired pieces may be kept as reserve. */
    public static function needsSaying(string $class): bool
    {
        foreach (self::NEEDS_SAYING as $one) {
            if ($class === $one || str_starts_with($class, "{$one}.")) {
                return true;
            }
        }

        return false;
    }
}
