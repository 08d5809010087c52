<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

/** Reads JSON text as plain values, objects as `stdClass`, so that `{}` and `[]` stay apart. */
final class Json
{
    private const DEPTH = 64;

    /** @throws InvalidDocument where the text is not JSON, or an object gives a key twice */
    public static function read(string $text): mixed
    {
        try {
            $value = json_decode($text, false, self::DEPTH, JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw InvalidDocument::because([new Problem('', 'This is not JSON: '.$broken->getMessage().'.')]);
        }
        // PHP keeps the last of two equal keys without a word, and a date could be lost by it.
        if (preg_match_all('/"(?:[^"\\\\]++|\\\\.)*+"(?!\s*:)(*SKIP)(*F)|"(?:[^"\\\\]++|\\\\.)*+"\s*:/s', $text) !== self::countKeys($value)) {
            $twice = self::keysGivenTwice($text);
            if ($twice !== []) {
                throw InvalidDocument::because($twice);
            }
        }

        return $value;
    }

    public static function write(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    public static function pointer(string $path, string|int $key): string
    {
        return $path.'/'.str_replace(['~', '/'], ['~0', '~1'], (string) $key);
    }

    private static function countKeys(mixed $value): int
    {
        $isObject = $value instanceof \stdClass;
        if (! $isObject && ! is_array($value)) {
            return 0;
        }
        $members = $isObject ? get_object_vars($value) : $value;
        $count = $isObject ? count($members) : 0;
        foreach ($members as $member) {
            if ($member instanceof \stdClass || is_array($member)) {
                $count += self::countKeys($member);
            }
        }

        return $count;
    }

    /**
     * @return list<Problem>
     */
    private static function keysGivenTwice(string $text): array
    {
        preg_match_all('/"(?:[^"\\\\]++|\\\\.)*+"|[{}\[\],:]/s', $text, $tokens);
        $problems = [];
        /** @var list<array{path: string, keys: array<string, string>|null, at: string|int}> $open */
        $open = [];
        $key = null;
        foreach ($tokens[0] as $token) {
            $inside = array_pop($open);
            if ($token === '{' || $token === '[') {
                $path = '';
                if ($inside !== null) {
                    $path = self::pointer($inside['path'], $inside['at']);
                    $open[] = $inside;
                }
                $open[] = ['path' => $path, 'keys' => $token === '{' ? [] : null, 'at' => 0];

                continue;
            }
            if ($inside === null || $token === '}' || $token === ']') {
                continue;
            }
            if ($token === ':') {
                $name = is_string($decoded = json_decode($key ?? '""')) ? $decoded : '';
                if (isset($inside['keys']['k'.$name])) {
                    $problems[] = new Problem(self::pointer($inside['path'], $name), 'This key is given twice; leave one.');
                }
                $inside['keys']['k'.$name] = $name;
                $inside['at'] = $name;
            } elseif ($token !== ',') {
                $key = $token;
            } elseif ($inside['keys'] === null) {
                $inside['at'] = (int) $inside['at'] + 1;
            }
            $open[] = $inside;
        }

        return $problems;
    }
}
