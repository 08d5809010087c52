<?php

declare(strict_types=1);

namespace App\Carry;

use stdClass;

/** Rates that ship with the application, by class: starting points that somebody confirms or replaces. */
final class StartingRates
{
    private ?stdClass $file = null;

    public function about(): string
    {
        return $this->file()->about;
    }

    /** @return stdClass|null `per_1000_person_days` and `pieces_per_use` of the nearest class that has one */
    public function of(string $class): ?stdClass
    {
        for ($named = $class; $named !== ''; $named = (string) substr($named, 0, (int) strrpos($named, '.'))) {
            foreach ($this->file()->rates as $rate) {
                if ($rate->class === $named) {
                    return $rate;
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
