<?php

declare(strict_types=1);

namespace Sarcina\Core\Measure;

/** The units that may be written in the formats (rules.md, check), with their exact factors. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Inch = 'in';
    case Foot = 'ft';
    case Yard = 'yd';
    case Millilitre = 'ml';
    case Litre = 'l';
    case FluidOunce = 'floz';
    case Milligram = 'mg';
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Millimetre, self::Centimetre, self::Metre, self::Inch, self::Foot, self::Yard => Dimension::Length,
            self::Millilitre, self::Litre, self::FluidOunce => Dimension::Volume,
            self::Milligram, self::Gram, self::Kilogram, self::Ounce, self::Pound => Dimension::Mass,
        };
    }

    /** Grains of the dimension in one of this unit: 1 in = 25.4 mm, 1 floz = 29.5735295625 ml, 1 oz = 28.349523125 g. */
    public function grains(): int
    {
        return match ($this) {
            self::Millimetre => 1_000_000,
            self::Centimetre => 10_000_000,
            self::Metre => 1_000_000_000,
            self::Inch => 25_400_000,
            self::Foot => 304_800_000,
            self::Yard => 914_400_000,
            self::Millilitre => 10_000_000_000,
            self::Litre => 10_000_000_000_000,
            self::FluidOunce => 295_735_295_625,
            self::Milligram => 1_000_000,
            self::Gram => 1_000_000_000,
            self::Kilogram => 1_000_000_000_000,
            self::Ounce => 28_349_523_125,
            self::Pound => 453_592_370_000,
        };
    }
}
