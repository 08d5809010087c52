<?php

declare(strict_types=1);

namespace App\Exchange;

/** What changes from one record to another, in words: "lines L3, quantity: 4 before, now 6". */
final class Difference
{
    private const NAMES = ['id', 'code', 'name', 'measure', 'pieces'];

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $now
     * @return list<string>
     */
    public static function between(array $before, array $now): array
    {
        [$was, $is] = [self::flat($before), self::flat($now)];
        $texts = [];
        foreach ($is as $path => $value) {
            if (! array_key_exists($path, $was)) {
                $texts[] = "{$path}: new, {$value}";
            } elseif ($was[$path] !== $value) {
                $texts[] = "{$path}: {$was[$path]} before, now {$value}";
            }
        }
        foreach (array_diff_key($was, $is) as $path => $value) {
            $texts[] = "{$path}: gone, was {$value}";
        }

        return $texts;
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array<string, string> by path
     */
    private static function flat(array $values, string $path = ''): array
    {
        $flat = [];
        foreach ($values as $key => $value) {
            $value = $value instanceof \stdClass ? (array) $value : $value;
            $name = is_int($key) && is_array($value) ? self::nameOf($value, $key) : (string) $key;
            $at = $path === '' ? $name : "{$path} {$name}";
            if (is_array($value) && $value !== []) {
                $flat += self::flat($value, $at);
            } else {
                $flat[$at] = match (true) {
                    $value === null, $value === [] => 'none',
                    is_bool($value) => $value ? 'yes' : 'no',
                    is_scalar($value) => (string) $value,
                    default => '',
                };
            }
        }

        return $flat;
    }

    /** @param  array<array-key, mixed>  $value */
    private static function nameOf(array $value, int $index): string
    {
        foreach (self::NAMES as $name) {
            if (isset($value[$name]) && is_scalar($value[$name])) {
                return (string) $value[$name];
            }
        }

        return (string) ($index + 1);
    }
}
