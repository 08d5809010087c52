<?php

declare(strict_types=1);

namespace App\Exchange;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;

/** What is wrong with a record of a file, in sentences that name the field as the file does and say what belongs there. */
final class SchemaFault
{
    /** What a text that follows a pattern is called, by what its pattern begins with. */
    private const TEXTS = [
        '^\d{1,' => 'a number with its unit, such as 7.5 cm',
        '^[a-z][a-z_]' => 'a measure such as length or volume, in small letters',
        '^[a-z0-9][a-z0-9-]*(' => 'a class in small letters, such as dressing.sterile',
        '^\d{4}-' => 'a date such as 2027-03-31, or a month such as 2027-03',
        '^\d{2}-' => 'a day of the year such as 03-01',
        '^[a-z0-9][a-z0-9-]' => 'a code of small letters, digits and hyphens, such as shears',
        '^[a-z0-9][a-z0-9/.-]' => 'a code of small letters, digits, hyphens and slashes, such as office/small',
        '^[A-Z0-9]' => 'a code of capital letters, digits and hyphens, such as QH-07',
        '^[A-Za-z0-9_-]' => 'a name of letters, digits and hyphens, such as L1',
    ];

    private const TYPES = [
        'string' => 'a text', 'integer' => 'a whole number', 'number' => 'a number', 'boolean' => 'yes or no (true or false)',
        'array' => 'a list', 'object' => 'an entry with fields', 'null' => 'nothing',
    ];

    /** @return list<string> one sentence for each fault */
    public static function say(ValidationError $error): array
    {
        $said = [];
        foreach ((new ErrorFormatter)->format($error, true, self::sentence(...)) as $sentences) {
            foreach (is_array($sentences) ? $sentences : [] as $sentence) {
                $said[] = is_string($sentence) ? $sentence : '';
            }
        }

        return array_values(array_unique(array_filter($said)));
    }

    private static function sentence(ValidationError $error): string
    {
        $where = self::where($error->data()->fullPath());
        $args = $error->args();
        $schema = $error->schema()->info()->data();

        return match ($error->keyword()) {
            'required' => ($where === '' ? '' : "{$where}: ").'There is no '.self::listed($args['missing'] ?? []).'.',
            'additionalProperties', 'unevaluatedProperties' => ($where === '' ? '' : "{$where}: ").
                'There is no field called '.self::listed($args['properties'] ?? []).'. Correct its name, or leave it out.',
            default => $where.': '.self::value($error, is_object($schema) ? $schema : (object) [], $args),
        };
    }

    /** @param  array<string, mixed>  $args */
    private static function value(ValidationError $error, object $schema, array $args): string
    {
        $is = $error->data()->value();
        $shown = is_scalar($is) ? ' It is '.(is_bool($is) ? ($is ? 'true' : 'false') : "\"{$is}\"").'.' : '';
        $wanted = match ($error->keyword()) {
            'pattern' => self::text(is_string($args['pattern'] ?? null) ? $args['pattern'] : ''),
            'type' => self::type($args['expected'] ?? ''),
            'enum' => 'one of '.self::listed($schema->enum ?? []),
            'format' => 'a date such as 2027-03-31',
            'minLength' => 'at least '.self::number($args['min'] ?? 1, 'character'),
            'maxLength' => 'at most '.self::number($args['max'] ?? 1, 'character'),
            'minimum' => 'a number of at least '.self::figure($args['min'] ?? 0),
            'maximum' => 'a number of at most '.self::figure($args['max'] ?? 0),
            'minItems' => 'at least '.self::number($args['min'] ?? 1, 'entry', 'entries'),
            'maxItems' => 'at most '.self::number($args['max'] ?? 1, 'entry', 'entries'),
            'uniqueItems' => 'no entry twice',
            'minProperties', 'maxProperties' => 'one measure with its quantity',
            'oneOf', 'anyOf' => 'one of the shapes that docs/rules.md describes for it, and only one',
            default => 'as docs/rules.md describes it',
        };

        return "here belongs {$wanted}.".$shown;
    }

    private static function text(string $pattern): string
    {
        foreach (self::TEXTS as $begins => $text) {
            if (str_starts_with($pattern, $begins)) {
                return $text;
            }
        }

        return 'a text as docs/rules.md describes it';
    }

    private static function type(mixed $expected): string
    {
        $types = array_map(
            static fn (mixed $type): string => self::TYPES[is_string($type) ? $type : ''] ?? 'another value',
            is_array($expected) ? $expected : [$expected],
        );

        return implode(' or ', $types);
    }

    /** @param  array<int|string>  $path  "lines", 0, "need": its first entry counted from 1 */
    private static function where(array $path): string
    {
        $said = '';
        foreach ($path as $part) {
            $said .= is_int($part) || ctype_digit($part) ? ' '.((int) $part + 1) : ($said === '' ? '' : ', ').$part;
        }

        return $said;
    }

    private static function listed(mixed $names): string
    {
        $said = [];
        foreach (is_array($names) ? $names : [] as $name) {
            $said[] = is_scalar($name) ? (string) $name : 'nothing';
        }

        return implode(', ', $said);
    }

    private static function number(mixed $count, string $one, ?string $more = null): string
    {
        $number = is_numeric($count) ? (int) $count : 0;

        return $number.' '.($number === 1 ? $one : $more ?? "{$one}s");
    }

    private static function figure(mixed $number): string
    {
        return is_scalar($number) ? (string) $number : '';
    }
}
