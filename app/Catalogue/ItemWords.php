<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Support\Spelling;
use Illuminate\Support\Facades\DB;

/**
 * The index of the finder: every word of an item's name and of its other names. It finds words anywhere and in any order, their
 * beginnings, and words of five letters or more with one letter wrong, missing, added or swapped.
 */
final class ItemWords
{
    private const LONGEST = 40;

    /** Words of a question that are looked for. */
    private const MOST_WORDS = 8;

    /** Rows of the index that are read for each word. */
    private const MOST_ROWS = 2_000;

    private const EXACT = 3;

    private const BEGINNING = 2;

    private const MISSPELT = 1;

    /**
     * Indexes items again after their names changed.
     *
     * @param  list<string>  $ids
     */
    public static function index(array $ids): void
    {
        $rows = [];
        $known = [];
        foreach (self::terms($ids) as $item => $terms) {
            foreach ($terms as $number => $term) {
                $words = Spelling::words($term);
                // "Eye wash" is found as "eyewash" too.
                $joined = array_map(static fn (int $at): string => $words[$at].$words[$at + 1], array_keys(array_slice($words, 1)));
                foreach (array_unique([...$words, ...preg_grep('/\d/', $joined, PREG_GREP_INVERT) ?: []]) as $word) {
                    $word = mb_substr($word, 0, self::LONGEST);
                    $rows[] = ['item_id' => $item, 'term' => $number, 'words' => min(255, count($words)), 'word' => $word];
                    $known[] = $word;
                }
            }
        }
        foreach (array_chunk($ids, 1000) as $some) {
            DB::table('item_words')->whereIn('item_id', $some)->delete();
        }
        foreach (array_chunk($rows, 2000) as $some) {
            DB::table('item_words')->insert($some);
        }
        Spelling::learn($known);
    }

    /**
     * Finds items by words, the best first: whole words before beginnings, beginnings before misspellings, short names before long ones.
     *
     * @return array<string, int> number of the term that fits best (0 is the name) by id of the item
     */
    public static function find(string $text): array
    {
        $asked = array_slice(Spelling::words($text), 0, self::MOST_WORDS);
        $found = array_map(self::matches(...), $asked);
        foreach (array_keys(array_slice($asked, 1)) as $at) {
            foreach (self::matches($asked[$at].$asked[$at + 1]) as $item => $terms) {
                foreach ($terms as $term => $match) {
                    foreach ([$at, $at + 1] as $place) {
                        $before = $found[$place][$item][$term] ?? $match;
                        $found[$place][$item][$term] = $before[0] > $match[0] ? $before : $match;
                    }
                }
            }
        }
        $ranks = [];
        foreach ($found === [] ? [] : $found[0] as $item => $_) {
            $ranks[$item] = self::rank($found, (string) $item);
        }
        $ranks = array_filter($ranks);
        uasort($ranks, static fn (array $one, array $other): int => $one <=> $other);

        return array_map(static fn (array $rank): int => $rank[2], $ranks);
    }

    /**
     * @param  list<array<string, array<int, array{int, int}>>>  $found
     * @return array{int, int, int}|null less its quality, the words of the best term, and its number; null where a word is missing
     */
    private static function rank(array $found, string $item): ?array
    {
        $quality = [];
        $words = [];
        foreach ($found as $matches) {
            if (! isset($matches[$item])) {
                return null;
            }
            foreach ($matches[$item] as $term => $match) {
                $quality[$term] = ($quality[$term] ?? 0) + $match[0];
                $words[$term] = $match[1];
            }
        }
        $best = null;
        foreach ($quality as $term => $sum) {
            $rank = [-$sum, $words[$term], $term];
            $best = $best === null || $rank < $best ? $rank : $best;
        }

        return $best;
    }

    /** @return array<string, array<int, array{int, int}>> quality and number of words in the term, by item and term */
    private static function matches(string $word): array
    {
        $near = Spelling::near($word);
        $rows = DB::table('item_words')->where('word', 'like', addcslashes($word, '%_\\').'%')->orderByRaw('word = ? DESC', [$word])->orderBy('words')
            ->limit(self::MOST_ROWS)->get()
            ->concat($near === [] ? [] : DB::table('item_words')->whereIn('word', $near)->orderBy('words')->limit(self::MOST_ROWS)->get());
        $found = [];
        foreach ($rows as $row) {
            $quality = match (true) {
                $row->word === $word => self::EXACT,
                str_starts_with($row->word, $word) => self::BEGINNING,
                default => self::MISSPELT,
            };
            $before = $found[$row->item_id][(int) $row->term] ?? [0, 0];
            if ($quality > $before[0]) {
                $found[$row->item_id][(int) $row->term] = [$quality, (int) $row->words];
            }
        }

        return $found;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, list<string>> the name and the other names, by id of the item
     */
    private static function terms(array $ids): array
    {
        $terms = [];
        foreach (array_chunk($ids, 1000) as $some) {
            foreach (DB::table('items')->whereIn('id', $some)->pluck('name', 'id') as $id => $name) {
                $terms[(string) $id] = [(string) $name];
            }
            foreach (DB::table('item_names')->whereIn('item_id', $some)->orderBy('name')->get(['item_id', 'name']) as $other) {
                $terms[$other->item_id][] = $other->name;
            }
        }

        return $terms;
    }
}
