<?php

declare(strict_types=1);

/*
 * Stand-in for symfony/polyfill-php85, which the registry lacks: the four
 * functions of PHP 8.5 that the framework calls, written to their manual.
 */

if (! function_exists('array_first')) {
    /** @param  array<mixed>  $array */
    function array_first(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_first($array)];
    }
}

if (! function_exists('array_last')) {
    /** @param  array<mixed>  $array */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_last($array)];
    }
}

if (! function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $current = set_error_handler(static fn (): bool => false);
        restore_error_handler();

        return $current;
    }
}

if (! function_exists('get_exception_handler')) {
    function get_exception_handler(): ?callable
    {
        $current = set_exception_handler(static function (): void {
        });
        restore_exception_handler();

        return $current;
    }
}
