<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/** What brings a line back to its quantity: so many pieces of an item, or of a class where no entry names an item. */
final readonly class Restock
{
    public function __construct(
        public string $line,
        public ?string $item,
        public ?string $class,
        public int $quantity,
    ) {
    }

    /** @return array<string, string|int|null> as in `sarcina.verdict/1` */
    public function document(): array
    {
        return $this->item === null
            ? ['line' => $this->line, 'item' => null, 'class' => $this->class, 'quantity' => $this->quantity]
            : ['line' => $this->line, 'item' => $this->item, 'quantity' => $this->quantity];
    }
}
