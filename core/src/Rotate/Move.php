<?php

declare(strict_types=1);

namespace Sarcina\Core\Rotate;

use Sarcina\Core\Calendar\PrintedDate;

/** Pieces of one lot that change places. */
final readonly class Move
{
    public function __construct(
        public string $item,
        public ?string $lot,
        public ?PrintedDate $expires,
        public string $from,
        public string $to,
        public int $quantity,
    ) {
    }

    public function plus(int $quantity): self
    {
        return new self($this->item, $this->lot, $this->expires, $this->from, $this->to, $this->quantity + $quantity);
    }
}
