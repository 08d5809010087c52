<?php

declare(strict_types=1);

namespace App\Assess;

use Sarcina\Core\Provision\KitSize;
use Sarcina\Core\Provision\Risk;

/** The names of what a plan asks for: kits by size, modules by risk. */
final class Wanted
{
    /** @return list<string> kits first, in the order of the rule */
    public static function all(): array
    {
        return [...array_column(KitSize::cases(), 'value'), ...array_column(Risk::cases(), 'value'), Risk::NO_RUNNING_WATER];
    }

    public static function isModule(string $wanted): bool
    {
        return KitSize::tryFrom($wanted) === null;
    }

    public static function title(string $wanted): string
    {
        $size = KitSize::tryFrom($wanted);
        if ($size !== null) {
            return match ($size) {
                KitSize::ClassA => 'Class A kit',
                KitSize::ClassB => 'Class B kit',
                default => ucfirst($size->value).' kit',
            };
        }

        return match ($wanted) {
            Risk::NO_RUNNING_WATER => 'Rinsing module',
            Risk::BiteSting->value => 'Bite and sting module',
            default => ucfirst(str_replace('_', ' ', $wanted)).' module',
        };
    }
}
