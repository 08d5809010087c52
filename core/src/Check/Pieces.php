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

    /**
     * @param  array<string, Item>  $there
     * @param  array<string, int>  $effective
     */
    private function __construct(array $there, array $effective)
    {
        $this->there = $there;
        $this->effective = $effective;
    }

    /** @param  list<int>  $leaving  rows that are passed over */
    public static function of(Assignment $assignment, array $leaving = []): self
    {
        $there = [];
        $effective = [];
        $passedOver = array_flip($leaving);
        foreach ($assignment->contents as $index => $row) {
            if (isset($passedOver[$index])) {
                continue;
            }
            $key = '.'.$row->item->code;
            $there[$key] = $row->item;
            if ($assignment->isEffective($index)) {
                $effective[$key] = ($effective[$key] ?? 0) + $row->quantity;
            }
        }

        return new self($there, $effective);
    }

    /** The same with so many good pieces more. */
    public function with(Item $item, int $pieces): self
    {
        $key = '.'.$item->code;

        return new self([...$this->there, $key => $item], [...$this->effective, $key => ($this->effective[$key] ?? 0) + $pieces]);
    }

    public function effectiveOf(string $item): int
    {
        return $this->effective['.'.$item] ?? 0;
    }
}
