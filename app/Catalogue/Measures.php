<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Accounts\Models\Organisation;
use App\Catalogue\Http\MeasureResource;
use App\Lists\Models\LineEntry;
use Sarcina\Core\Measure\Dimension;
use Sarcina\Core\Measure\Quantity;
use Sarcina\Core\Measure\Unit;

/** Measures in the units that the organisation prefers; what is kept is what was entered. */
final class Measures
{
    public function __construct(private readonly Organisation $organisation)
    {
    }

    public function resource(string $measure, string $quantity): MeasureResource
    {
        return new MeasureResource($measure, $quantity, $this->shown($quantity));
    }

    /** "4.7244 in" for "12 cm" where inches are preferred; lengths of a metre and more stay in the larger unit they were entered in. */
    public function shown(string $quantity): string
    {
        $read = Quantity::of($quantity);
        $unit = Unit::from(match ($read->dimension()) {
            Dimension::Length => $this->organisation->length_unit,
            Dimension::Volume => $this->organisation->volume_unit,
            Dimension::Mass => $this->organisation->mass_unit,
        });

        // What was entered in the same system stays as it was entered: 2.5 m is not 250 cm.
        return self::isImperial($read->unit) === self::isImperial($unit) ? $quantity : (string) $read->as($unit);
    }

    /** What a line accepts: "Medium dressing", or "any dressing.sterile of at least width 12 cm, height 12 cm". */
    public function accepted(LineEntry $entry): string
    {
        if ($entry->item !== null) {
            return $entry->item->name;
        }

        return $this->ofClass((string) $entry->class, $entry->minima(), $entry->maxima());
    }

    /**
     * Says a class with its limits: "any mask of at most width 9 cm".
     *
     * @param  array<string, string>  $minima  quantity by measure
     * @param  array<string, string>  $maxima  quantity by measure
     */
    public function ofClass(string $class, array $minima, array $maxima = []): string
    {
        $said = fn (array $limits): string => implode(', ', array_map(
            fn (string $measure, string $quantity): string => "{$measure} {$this->shown($quantity)}", array_keys($limits), $limits,
        ));
        $bounds = array_filter([
            $minima === [] ? '' : "at least {$said($minima)}", $maxima === [] ? '' : "at most {$said($maxima)}",
        ]);

        return "any {$class}".($bounds === [] ? '' : ' of '.implode(' and ', $bounds));
    }

    /**
     * @param  array<string, string>  $quantities  by measure
     * @return list<MeasureResource>
     */
    public function resources(array $quantities): array
    {
        return array_map($this->resource(...), array_map(strval(...), array_keys($quantities)), array_values($quantities));
    }

    public function mass(int $grams): string
    {
        return $this->organisation->mass_unit === 'g' ? "{$grams} g" : (string) Quantity::of("{$grams} g")->as(Unit::Ounce);
    }

    private static function isImperial(Unit $unit): bool
    {
        return in_array($unit, [Unit::Inch, Unit::Foot, Unit::Yard, Unit::FluidOunce, Unit::Ounce, Unit::Pound], true);
    }
}
