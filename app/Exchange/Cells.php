<?php

declare(strict_types=1);

namespace App\Exchange;

/** How lists of things are written into one cell of a sheet, and read back. */
final class Cells
{
    public static function flag(string $cell): ?bool
    {
        return match (mb_strtolower($cell)) {
            'yes', 'y', 'true', '1' => true,
            'no', 'n', 'false', '0', '' => false,
            default => null,
        };
    }

    /** A whole number, or the text as it stands, so that the schema says what is wrong with it. */
    public static function number(string $cell): int|string|null
    {
        return $cell === '' ? null : (preg_match('/^-?\d{1,12}$/D', $cell) === 1 ? (int) $cell : $cell);
    }

    /** @return list<string> */
    public static function split(string $cell, string $by = ';'): array
    {
        return array_values(
            array_filter(array_map(trim(...), $by === '' ? [$cell] : explode($by, $cell)), static fn (string $part): bool => $part !== ''),
        );
    }

    /** @param  array<string, mixed>|\stdClass  $measures */
    public static function measures(array|\stdClass $measures): string
    {
        $parts = [];
        foreach ((array) $measures as $name => $quantity) {
            $parts[] = "{$name}=".(is_scalar($quantity) ? $quantity : '');
        }

        return implode('; ', $parts);
    }

    /** @return array<string, string> "width=12 cm; height=12 cm" */
    public static function readMeasures(string $cell): array
    {
        $measures = [];
        foreach (self::split($cell) as $part) {
            [$name, $quantity] = [...explode('=', $part, 2), ''];
            $measures[trim($name)] = trim($quantity);
        }

        return $measures;
    }

    /** @param  list<array{item?: string, class?: string, min?: array<string, string>|\stdClass, max?: array<string, string>|\stdClass}>  $accepts */
    public static function accepts(array $accepts): string
    {
        return implode(
            ' | ',
            array_map(
                static fn (array $entry): string => isset($entry['item'])
                    ? $entry['item']
                    : 'class '.
                        ($entry['class'] ?? '').
                        (((array) ($entry['min'] ?? [])) === [] ? '' : ' ['.self::measures($entry['min'] ?? []).']').
                        (((array) ($entry['max'] ?? [])) === [] ? '' : ' [at most '.self::measures($entry['max'] ?? []).']'),
                $accepts,
            ),
        );
    }

    /** @return list<array<string, mixed>> "dressing-medium | class dressing.sterile [width=10 cm] [at most width=15 cm]" */
    public static function readAccepts(string $cell): array
    {
        return array_map(static function (string $part): array {
            if (! str_starts_with($part, 'class ')) {
                return ['item' => $part];
            }
            preg_match('/^class ([^\[]*)(?:\[(?!at most )([^\]]*)\])?\s*(?:\[at most (.*)\])?$/s', $part, $found);
            [$least, $most] = [self::readMeasures($found[2] ?? ''), self::readMeasures($found[3] ?? '')];

            return ['class' => trim($found[1] ?? ''), ...($least === [] ? [] : ['min' => $least]), ...($most === [] ? [] : ['max' => $most])];
        }, self::split($cell, '|'));
    }

    /** @param  array<string, mixed>  $line */
    public static function amount(array $line): string
    {
        return isset($line['quantity']) && is_scalar($line['quantity'])
            ? (string) $line['quantity']
            : self::measures(is_array($line['total'] ?? null) ? $line['total'] : []);
    }

    /** @return array{quantity: int}|array{total: array<string, string>} "4", or "length=2.5 yd" */
    public static function readAmount(string $cell): array
    {
        return preg_match('/^\d{1,9}$/D', $cell) === 1 ? ['quantity' => (int) $cell] : ['total' => self::readMeasures($cell)];
    }
}
