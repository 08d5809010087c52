<?php

declare(strict_types=1);

namespace App\Lists;

use App\Lists\Models\LineEntry;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Measure\Quantity;

/** What serves a line, as it is written: an item, or a class with the least measures that it must have. */
final readonly class EntryContent
{
    /** @param  array<string, string>  $min  quantity with unit, by measure */
    public function __construct(public ?string $item, public ?string $class, public array $min = [])
    {
    }

    public static function of(LineEntry $entry): self
    {
        return $entry->item !== null
            ? new self($entry->item->code, null)
            : new self(null, (string) $entry->class, $entry->minima->pluck('quantity', 'measure')->all());
    }

    /** @param  array{item?: string|null, class?: string|null, min?: array<string, string>}  $entry  of a file */
    public static function ofDocument(array $entry): self
    {
        return isset($entry['item']) ? new self($entry['item'], null) : new self(null, $entry['class'] ?? '', $entry['min'] ?? []);
    }

    /**
     * As it is sent (Http\SoundEntries).
     *
     * @param  array{item?: string|null, class?: string|null, minima?: list<array{measure: string, quantity: string}>}  $entry
     */
    public static function ofRequest(array $entry): self
    {
        return self::ofDocument([
            'item' => $entry['item'] ?? null, 'class' => $entry['class'] ?? null,
            'min' => array_column($entry['minima'] ?? [], 'quantity', 'measure'),
        ]);
    }

    /** As the core judges by it. */
    public function accepted(): Accepted
    {
        return $this->item !== null ? Accepted::item($this->item) : Accepted::class((string) $this->class, array_map(Quantity::of(...), $this->min));
    }

    /** @return array{item?: string, class?: string, min?: array<string, string>} as the formats have it */
    public function document(): array
    {
        return $this->item !== null
            ? ['item' => $this->item]
            : ['class' => (string) $this->class, ...($this->min === [] ? [] : ['min' => $this->min])];
    }
}
