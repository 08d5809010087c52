<?php

declare(strict_types=1);

namespace App\Lists;

use App\Lists\Models\LineEntry;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Measure\Quantity;

/** One entry of what serves a line, as it is written: an item, or a class with its minimum and maximum measures. */
final readonly class EntryContent
{
    /**
     * @param  array<string, string>  $min  quantity with unit, by measure
     * @param  array<string, string>  $max  quantity with unit, by measure
     */
    public function __construct(public ?string $item, public ?string $class, public array $min = [], public array $max = [])
    {
    }

    public static function of(LineEntry $entry): self
    {
        return $entry->item !== null
            ? new self($entry->item->code, null)
            : new self(null, (string) $entry->class, $entry->minima(), $entry->maxima());
    }

    /** @param  array{item?: string|null, class?: string|null, min?: array<string, string>, max?: array<string, string>}  $entry  of a file */
    public static function ofDocument(array $entry): self
    {
        return isset($entry['item'])
            ? new self($entry['item'], null)
            : new self(null, $entry['class'] ?? '', $entry['min'] ?? [], $entry['max'] ?? []);
    }

    /**
     * Reads an entry of a request (Http\SoundEntries).
     *
     * @param  array{
     *     item?: string|null, class?: string|null, minima?: list<array{measure: string, quantity: string}>,
     *     maxima?: list<array{measure: string, quantity: string}>,
     * }  $entry
     */
    public static function ofRequest(array $entry): self
    {
        return self::ofDocument([
            'item' => $entry['item'] ?? null, 'class' => $entry['class'] ?? null,
            'min' => array_column($entry['minima'] ?? [], 'quantity', 'measure'),
            'max' => array_column($entry['maxima'] ?? [], 'quantity', 'measure'),
        ]);
    }

    /** Gives the entry as the core judges by it. */
    public function accepted(): Accepted
    {
        return $this->item !== null
            ? Accepted::item($this->item)
            : Accepted::class((string) $this->class, array_map(Quantity::of(...), $this->min), array_map(Quantity::of(...), $this->max));
    }

    /** @return array{item?: string, class?: string, min?: array<string, string>, max?: array<string, string>} as the formats have it */
    public function document(): array
    {
        return $this->item !== null ? ['item' => $this->item] : [
            'class' => (string) $this->class, ...($this->min === [] ? [] : ['min' => $this->min]),
            ...($this->max === [] ? [] : ['max' => $this->max]),
        ];
    }

    /**
     * Gives its rows of a table of limits.
     *
     * @param  array<string, int|string>  $owner  the column of the entry and its id
     * @return list<array<string, bool|int|string>>
     */
    public function limits(array $owner): array
    {
        $rows = [];
        foreach ([false => $this->min, true => $this->max] as $isMaximum => $limits) {
            foreach ($limits as $measure => $quantity) {
                $rows[] = [...$owner, 'measure' => $measure, 'quantity' => $quantity, 'is_maximum' => (bool) $isMaximum];
            }
        }

        return $rows;
    }
}
