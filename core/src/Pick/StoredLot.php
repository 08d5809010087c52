<?php

declare(strict_types=1);

namespace Sarcina\Core\Pick;

use Sarcina\Core\Calendar\PrintedDate;

/** Pieces of one lot that lie in the store. */
final readonly class StoredLot
{
    public function __construct(
        public string $item,
        public ?string $lot,
        public ?PrintedDate $expires,
        public int $quantity,
    ) {
    }
}
