<?php

declare(strict_types=1);

namespace Sarcina\Core\Pick;

/** So many pieces of an item that a kit needs. */
final readonly class Need
{
    /** @param  bool  $shortDated whether pieces that do not last until the next check may fill up; false for a critical line */
    public function __construct(
        public string $item,
        public int $quantity,
        public bool $dated,
        public bool $shortDated,
    ) {
    }
}
