<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Rank;

/** A line of a design as it is packed: the item that fills it, how many pieces, and in which compartments they lie. */
final readonly class PackedLine
{
    /**
     * @param  Item|null  $item  null where nothing in the catalogue serves the line
     * @param  array<string, int>  $pieces  by compartment; none where it is in no compartment yet
     * @param  int  $asked  pieces of the item that fill it, wherever they are to lie
     */
    public function __construct(
        public string $code,
        public Rank $rank,
        public ?Item $item,
        public Handling $handling,
        public array $pieces,
        public int $asked = 0,
    ) {
    }

    public function isIn(string $compartment): bool
    {
        return isset($this->pieces[$compartment]);
    }

    public function inAll(): int
    {
        return array_sum($this->pieces);
    }
}
