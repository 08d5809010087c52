<?php

declare(strict_types=1);

namespace App\Cope;

use App\Lists\EntryContent;

/** What one casualty of an emergency takes of one kind, as it is written. */
final readonly class NeedContent
{
    /** @param  list<EntryContent>  $accepts */
    public function __construct(
        public string $code,
        public string $title,
        public int $quantity,
        public bool $isReusable,
        public array $accepts,
    ) {
    }

    /** @return array<string, mixed> as the core reads it */
    public function asked(): array
    {
        return [
            'id' => $this->code, 'quantity' => $this->quantity, 'reusable' => $this->isReusable,
            'accepts' => array_map(static fn (EntryContent $entry): array => $entry->document(), $this->accepts),
        ];
    }
}
