<?php

declare(strict_types=1);

namespace App\Carry;

use Brick\Math\BigRational;
use stdClass;

/** The rates of use that ship with the application, by class and setting: estimates that own records gradually replace. */
final class StartingRates
{
    private ?stdClass $file = null;

    /** Says what the rates rest on. */
    public function about(): string
    {
        return $this->file()->about;
    }

    /** Gives as many person-days as the setting's rate weighs beside own records. */
    public function weight(Setting $setting): int
    {
        return $this->file()->weights->{$setting->value};
    }

    /** @return array{BigRational, int}|null uses in 1,000 person-days and pieces for each use, of the nearest class that has a rate */
    public function of(string $class, Setting $setting): ?array
    {
        for ($named = $class; $named !== ''; $named = (string) substr($named, 0, (int) strrpos($named, '.'))) {
            foreach ($this->file()->rates as $rate) {
                if ($rate->class === $named) {
                    return [BigRational::of($rate->per_1000_person_days->{$setting->value}), $rate->pieces_per_use];
                }
            }
        }

        return null;
    }

    private function file(): stdClass
    {
        return $this->file ??= json_decode((string) file_get_contents(database_path('reference/use-rates.json')), flags: JSON_THROW_ON_ERROR);
    }
}
