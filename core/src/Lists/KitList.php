<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;

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

    /** Says whether the list has a line of rank critical or required. */
    public function hasRequirement(): bool
    {
        foreach ($this->lines as $line) {
            if ($line->rank !== Rank::Optional) {
                return true;
            }
        }

        return false;
    }

    /** Whether the list excludes the item; practice pieces are excluded by every list. */
    public function excludes(Item $item): bool
    {
        if ((new ItemClass(ItemClass::TRAINING))->takes($item->class)) {
            return true;
        }
        foreach ($this->excludes as $class) {
            if ($class->takes($item->class)) {
                return true;
            }
        }

        return false;
    }

    /**
     * A line that asks for a total names an item that is known, accepts only items with its measure, and shares none of them with
     * another line (rules.md, check).
     *
     * @param  iterable<Item>  $items  known ones
     * @return list<Clash>
     */
    public function clashes(iterable $items): array
    {
        if (array_filter($this->lines, static fn (Line $line): bool => $line->total !== null) === []) {
            return [];
        }
        $shared = [];
        $accepted = [];
        foreach ($items as $item) {
            $hasTotal = false;
            $isFirst = true;
            foreach (array_keys($this->preferencesFor($item)) as $line) {
                $accepted[$line]['.'.$item->code] = $item;
                if (! $isFirst && ($hasTotal || $this->lines[$line]->total !== null)) {
                    $shared[$line] ??= $item->code;
                }
                $hasTotal = $hasTotal || $this->lines[$line]->total !== null;
                $isFirst = false;
            }
        }
        $clashes = [];
        foreach ($this->lines as $index => $line) {
            if (isset($shared[$index])) {
                $clashes[] = new Clash(
                    $index,
                    false,
                    "\"{$shared[$index]}\" is accepted by a line that asks for a total and by another line; it can serve one of them only.",
                );
            } elseif ($line->total !== null) {
                $clash = self::clashOfTotal($index, $line, $line->total, $accepted[$index] ?? []);
                $clashes = $clash === null ? $clashes : [...$clashes, $clash];
            }
        }

        return $clashes;
    }

    /** @param  array<string, Item>  $accepted  by code with a dot before it */
    private static function clashOfTotal(int $index, Line $line, Total $total, array $accepted): ?Clash
    {
        foreach ($accepted as $item) {
            $piece = $total->pieceOf($item);
            if ($piece === null) {
                return new Clash(
                    $index,
                    false,
                    "\"{$item->code}\" has no {$total->measure} above 0 that could be added up in {$total->wanted->unit->value}.",
                );
            }
            if (! $piece->comesToWithin($total->wanted, Total::MOST_PIECES)) {
                return new Clash($index, true, "More pieces of \"{$item->code}\" would be asked for than a kit can hold.");
            }
        }
        foreach ($line->accepts as $entry) {
            if ($entry->item !== null && isset($accepted['.'.$entry->item])) {
                return null;
            }
        }

        return new Clash($index, false, 'A line that asks for a total must name at least one of the items by its code.');
    }
}
