<?php

declare(strict_types=1);

namespace App\Actions;

/** A restock as it was done: lot by lot what went out and in. */
final readonly class RestockReport
{
    /**
     * @param  string  $id  a ULID made by the page, so that it counts once
     * @param  int  $base  the kit's last movement when the list was made
     * @param  list<array{pocket_id: string, lot_id: string, condition: string, quantity: int, to: string}>  $out
     * @param  list<array{pocket_id: string, lot_id: string, quantity: int}>  $in
     */
    public function __construct(
        public string $id,
        public string $kitId,
        public string $storeId,
        public int $base,
        public array $out,
        public array $in,
        public ?string $sealReason,
        public ?string $sealSet,
    ) {
    }
}
