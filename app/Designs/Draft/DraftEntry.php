<?php

declare(strict_types=1);

namespace App\Designs\Draft;

use App\Lists\EntryContent;
use OpenApi\Attributes as OA;

/** An entry of what serves an added line: an item, or a class with its minimum and maximum measures. */
#[OA\Schema]
final readonly class DraftEntry
{
    /**
     * @param  list<array{measure: string, quantity: string}>  $minima
     * @param  list<array{measure: string, quantity: string}>  $maxima
     */
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
        #[OA\Property(items: new OA\Items(
            required: ['measure', 'quantity'],
            properties: [new OA\Property(property: 'measure', type: 'string'), new OA\Property(property: 'quantity', type: 'string')],
            type: 'object',
        ))]
        public array $maxima = [],
    ) {
    }

    public static function of(EntryContent $entry): self
    {
        $rows = static fn (array $limits): array => array_map(
            static fn (string $measure, string $quantity): array => ['measure' => $measure, 'quantity' => $quantity],
            array_map(strval(...), array_keys($limits)),
            array_values($limits),
        );

        return new self($entry->item, $entry->class, $rows($entry->min), $rows($entry->max));
    }

    public function content(): EntryContent
    {
        return EntryContent::ofRequest(['item' => $this->item, 'class' => $this->class, 'minima' => $this->minima, 'maxima' => $this->maxima]);
    }
}
