<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use App\Lists\EntryContent;
use OpenApi\Attributes as OA;

/** What serves an added line: an item, or a class with the least measures that it must have. */
#[OA\Schema]
final readonly class DraftEntry
{
    /** @param  list<array{measure: string, quantity: string}>  $minima */
    public function __construct(
        #[OA\Property(nullable: true)]
        public ?string $item,
        #[OA\Property(nullable: true)]
        public ?string $class,
        #[OA\Property(items: new OA\Items(
            required: ['measure', 'quantity'],
            properties: [new OA\Property(property: 'measure', type: 'string'), new OA\Property(property: 'quantity', type: 'string')],
            type: 'object',
        ))]
        public array $minima,
    ) {
    }

    public static function of(EntryContent $entry): self
    {
        return new self($entry->item, $entry->class, array_map(
            static fn (string $measure, string $quantity): array => ['measure' => $measure, 'quantity' => $quantity],
            array_map(strval(...), array_keys($entry->min)),
            array_values($entry->min),
        ));
    }

    public function content(): EntryContent
    {
        return EntryContent::ofRequest(['item' => $this->item, 'class' => $this->class, 'minima' => $this->minima]);
    }
}
