<?php

declare(strict_types=1);

namespace App\Console;

/** What a command was given, as text. */
trait SaysText
{
    private function text(string $name): string
    {
        $given = $this->hasArgument($name) ? $this->argument($name) : $this->option($name);

        return is_string($given) ? $given : '';
    }
}
