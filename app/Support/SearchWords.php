<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Query\Builder;

/** What somebody looks for, as an index can be asked for it: words that names begin with, in any order. */
final readonly class SearchWords
{
    /** Shorter words are in no index of the database; nor are these, its own list of what says nothing. */
    private const LEAST = 3;

    private const SILENT = [
        'about', 'are', 'com', 'for', 'from', 'how', 'that', 'the', 'this', 'und', 'was', 'what', 'when', 'where', 'who', 'will', 'with', 'www',
    ];

    /**
     * @param  list<list<string>>  $indexed  words of which one must be there, for each word
     * @param  list<string>  $others  that are looked for among what the index finds
     */
    private function __construct(
        public string $text,
        private array $indexed,
        private array $others,
    ) {
    }

    public static function of(string $text): self
    {
        $words = Spelling::words($text);
        $isIndexed = static fn (string $word): bool => mb_strlen($word) >= self::LEAST && ! in_array($word, self::SILENT, true);

        return new self(
            $text,
            array_values(array_map(static fn (string $word): array => [$word], array_filter($words, $isIndexed))),
            array_values(array_filter($words, static fn (string $word): bool => ! $isIndexed($word))),
        );
    }

    /** Returns the same words, each also as the known words that differ from it by one letter; null where there are none. */
    public function misspelt(): ?self
    {
        $words = array_map(static fn (array $words): array => [...$words, ...Spelling::near($words[0])], $this->indexed);

        return $words === $this->indexed ? null : new self($this->text, $words, $this->others);
    }

    /** Rows whose column has all the words, by its full-text index; where no word is in that, those that begin so, by its index. */
    public function among(Builder $rows, string $column): Builder
    {
        if ($this->indexed === []) {
            return $rows->where($column, 'like', $this->beginning());
        }
        foreach ($this->others as $word) {
            $rows->where($column, 'like', '%'.self::plain($word).'%');
        }

        return $rows->whereRaw("MATCH ({$column}) AGAINST (? IN BOOLEAN MODE)", [
            implode(' ', array_map(static fn (array $words): string => '+('.implode('* ', $words).'*)', $this->indexed)),
        ]);
    }

    /** For a code or a number that begins so. */
    public function beginning(): string
    {
        return self::plain($this->text).'%';
    }

    private static function plain(string $text): string
    {
        return addcslashes($text, '%_\\');
    }
}
