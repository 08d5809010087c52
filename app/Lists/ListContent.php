<?php

declare(strict_types=1);

namespace App\Lists;

use App\Lists\Models\KitList;
use App\Lists\Models\Line;

/** All that an edition of a list says, apart from its code, its edition and where it comes from. */
final readonly class ListContent
{
    /**
     * @param  string  $basis  what the list rests on
     * @param  list<string>  $excludes  classes that must not be in a kit
     * @param  list<LineContent>  $lines
     * @param  array{people: int, days: int}|null  $madeFor  null where nobody said it
     */
    public function __construct(
        public string $title,
        public ?string $size,
        public string $basis,
        public array $excludes,
        public array $lines,
        public ?array $madeFor = null,
    ) {
    }

    public static function of(KitList $list): self
    {
        $list->load(['lines.entries.item', 'lines.entries.limits', 'exclusions']);

        return new self(
            $list->title,
            $list->size,
            $list->basis,
            array_values($list->exclusions->pluck('class')->all()),
            array_values($list->lines->map(static fn (Line $line): LineContent => LineContent::of($line))->all()),
            $list->madeFor(),
        );
    }

    /** @return array<string, int|string|null> of the table of lists */
    public function columns(): array
    {
        return [
            'title' => $this->title, 'size' => $this->size, 'basis' => $this->basis,
            'made_for_people' => $this->madeFor['people'] ?? null, 'made_for_days' => $this->madeFor['days'] ?? null,
        ];
    }
}
