<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Item;

/** What is in a kit by item: which items are there, and how many effective pieces of each. */
final readonly class Pieces
{
    /** @var array<string, Item> items that are in the contents, in the order they come, by code with a dot before it */
    public array $there;

    /** @var array<string, int> effective pieces by item */
    public array $effective;

    public function __construct(Assignment $assignment)
    {
        $there = [];
        $effective = [];
        foreach ($assignment->contents as $index => $row) {
            $key = '.'.$row->item->code;
            $there[$key] = $row->item;
            if ($assignment->isEffective($index)) {
                $effective[$key] = ($effective[$key] ?? 0) + $row->quantity;
            }
        }
        $this->there = $there;
        $this->effective = $effective;
    }

    public function of(string $item): int
    {
        return $this->effective['.'.$item] ?? 0;
    }
}
