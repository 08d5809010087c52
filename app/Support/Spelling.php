<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/** Knows the words of names, and finds those that differ from a word of five letters or more by one letter: wrong, missing, added or swapped. */
final class Spelling
{
    /** Letters from which on a word may be misspelt. */
    private const LONG = 5;

    private const LONGEST = 40;

    /** Rows of the index that are read for one word. */
    private const MOST_ROWS = 2_000;

    /** @return list<string> in small letters */
    public static function words(string $text): array
    {
        return preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** @param  list<string>  $words  in small letters */
    public static function learn(array $words): void
    {
        $rows = [];
        foreach (array_unique($words) as $word) {
            $word = mb_substr($word, 0, self::LONGEST);
            foreach (self::variants($word) as $variant) {
                $rows[] = ['variant' => $variant, 'word' => $word];
            }
        }
        // In one order, so that two who learn at once wait for each other and do not deadlock.
        sort($rows);
        foreach (array_chunk($rows, 2000) as $some) {
            DB::table('word_variants')->insertOrIgnore($some);
        }
    }

    /** @return list<string> known words that differ from this one by one letter */
    public static function near(string $word): array
    {
        $variants = mb_strlen($word) < self::LONG ? [] : self::variants($word);
        if ($variants === []) {
            return [];
        }
        $words = DB::table('word_variants')->whereIn('variant', $variants)->limit(self::MOST_ROWS)->pluck('word')->all();

        return array_values(array_filter(
            array_unique(array_map(strval(...), $words)), static fn (string $one): bool => $one !== $word && self::isOneApart($one, $word),
        ));
    }

    private static function isOneApart(string $one, string $other): bool
    {
        if (levenshtein($one, $other) <= 1) {
            return true;
        }
        $at = strspn($one ^ $other, "\0");

        return strlen($one) === strlen($other) && $at + 1 < strlen($one)
            && substr_replace($one, $one[$at + 1].$one[$at], $at, 2) === $other;
    }

    /** @return list<string> the word and the word with one letter left out; none for short words and words with digits */
    private static function variants(string $word): array
    {
        if (mb_strlen($word) < self::LONG - 1 || preg_match('/\d/', $word) === 1) {
            return [];
        }
        $letters = mb_str_split($word);
        $variants = [$word => true];
        foreach (array_keys($letters) as $at) {
            $variants[implode('', [...array_slice($letters, 0, $at), ...array_slice($letters, $at + 1)])] = true;
        }

        return array_map(strval(...), array_keys($variants));
    }
}
