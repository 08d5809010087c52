<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

use Sarcina\Core\Kit\Item;

/** The list that a kit is held to. */
final readonly class KitList
{
    /** @var array<string, array<int, int>> by item code with a dot before it: line => position of the first entry that names it */
    private array $byItem;

    /** @var list<array{int, int, Accepted}> entries by class: line, position, entry */
    private array $byClass;

    /**
     * @param  list<Line>  $lines
     * @param  list<\Sarcina\Core\Kit\ItemClass>  $excludes
     */
    public function __construct(
        public string $code,
        public array $lines,
        public array $excludes,
    ) {
        $byItem = [];
        $byClass = [];
        foreach ($lines as $index => $line) {
            foreach ($line->accepts as $position => $accepted) {
                if ($accepted->item === null) {
                    $byClass[] = [$index, $position, $accepted];
                } else {
                    $byItem['.'.$accepted->item][$index] ??= $position;
                }
            }
        }
        $this->byItem = $byItem;
        $this->byClass = $byClass;
    }

    /**
     * The lines that accept the item, each with the position of the first entry that it matches.
     *
     * @return array<int, int> line => preference, in the order of the lines
     */
    public function preferencesFor(Item $item): array
    {
        $preferences = $this->byItem['.'.$item->code] ?? [];
        foreach ($this->byClass as [$line, $position, $accepted]) {
            if ($position < ($preferences[$line] ?? PHP_INT_MAX) && $accepted->matches($item)) {
                $preferences[$line] = $position;
            }
        }
        ksort($preferences);

        return $preferences;
    }

    public function excludes(Item $item): bool
    {
        foreach ($this->excludes as $class) {
            if ($class->takes($item->class)) {
                return true;
            }
        }

        return false;
    }
}
