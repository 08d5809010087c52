<?php

declare(strict_types=1);

namespace App\Support;

/** The folder of the running instance, `var/NAME`: what bin/sarcina keeps there beside the application's own. */
final class SarcinaFolder
{
    public static function path(string $name = ''): string
    {
        return rtrim(dirname(storage_path()).'/'.$name, '/');
    }
}
