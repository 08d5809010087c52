<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Lists\EntryContent;
use App\Lists\ListLoader;
use App\Lists\Models\Line;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;

/**
 * What must never be used in place of something else, such as an elastic wrap for a tourniquet: an item names the classes for which it
 * never stands in. A line that accepts one of such a class does not accept the item beside it, and it is no item's stand-in there.
 */
final class NeverFor
{
    /** @var array<string, list<string>>|null classes by item code */
    private ?array $known = null;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function forget(): void
    {
        $this->known = null;
    }

    /**
     * As though items were written so already.
     *
     * @param  array<string, list<string>>  $written  classes by item code
     */
    public function with(array $written): self
    {
        $as = clone $this;
        $as->known = array_filter([...$this->all(), ...$written]);

        return $as;
    }

    /** @return array<string, list<string>> the classes that each item never stands in for, by its code; items of none left out */
    public function all(): array
    {
        if ($this->known === null) {
            $this->known = [];
            $rows = DB::table('item_never_for')->join('items', 'items.id', '=', 'item_never_for.item_id')
                ->orderBy('items.code')->orderBy('item_never_for.class')->get(['items.code', 'item_never_for.class']);
            foreach ($rows as $row) {
                $this->known[(string) $row->code][] = (string) $row->class;
            }
        }

        return $this->known;
    }

    /**
     * What is wrong with what a line accepts.
     *
     * @param  list<EntryContent>  $accepts
     * @return array<int, string> by the place of the entry
     */
    public function faultsOf(array $accepts): array
    {
        $items = $this->catalogue->items(array_values(array_unique([
            ...array_map(strval(...), array_keys($this->all())),
            ...array_filter(array_map(static fn (EntryContent $entry): ?string => $entry->item, $accepts)),
        ])));
        $faults = [];
        foreach ($accepts as $place => $entry) {
            foreach ($this->all() as $code => $classes) {
                $item = $items[$code] ?? null;
                if ($item === null || ! $entry->accepted()->matches($item)) {
                    continue;
                }
                foreach ($accepts as $other => $beside) {
                    $class = $other === $place ? null : $this->stoodInFor($classes, $beside, $items);
                    if ($class !== null) {
                        $faults[$place] = self::say($this->catalogue->name($code), $class, $entry->item === null);
                    }
                }
            }
        }

        return $faults;
    }

    /**
     * What is wrong with an item's own stand-ins, and with the item as it is one of others.
     *
     * @param  list<string>  $never  the classes that it never stands in for
     * @param  list<string>  $standIns  codes of what may stand in for it, and of what supersedes it
     * @return array{stand_ins: array<int, string>, never_for: array<int, string>} by place
     */
    public function faultsOfItem(string $code, string $class, array $never, array $standIns): array
    {
        $faults = ['stand_ins' => [], 'never_for' => []];
        foreach ($standIns as $place => $standIn) {
            foreach ($this->all()[$standIn] ?? [] as $one) {
                if (self::isWithin($class, $one)) {
                    $faults['stand_ins'][$place] = self::say($this->catalogue->name($standIn), $one, false);
                }
            }
        }
        foreach ($never as $place => $one) {
            if (self::isWithin($class, $one)) {
                $faults['never_for'][$place] = "The item is itself of the class {$one}.";

                continue;
            }
            $of = DB::table('item_stand_ins')->join('items as standing', 'standing.id', '=', 'item_stand_ins.stand_in_id')
                ->join('items', 'items.id', '=', 'item_stand_ins.item_id')->where('standing.code', $code)->get(['items.name', 'items.class'])
                ->first(static fn (object $item): bool => self::isWithin((string) $item->class, $one));
            $line = $of === null ? $this->lineThatAccepts($code, $one) : null;
            if ($of !== null) {
                $faults['never_for'][$place] = "It is named as a stand-in for {$of->name}. Remove it there first.";
            } elseif ($line !== null) {
                $faults['never_for'][$place] = "{$line} accepts it beside {$one}. Change that line first.";
            }
        }

        return $faults;
    }

    /** The first line on record that accepts the item beside what is of that class, as it is said; null: none does. */
    private function lineThatAccepts(string $code, string $class): ?string
    {
        $item = $this->catalogue->items([$code])[$code] ?? null;
        if ($item === null) {
            return null;
        }
        // A line of a list that was superseded asks nobody for anything new; kits that keep it are told when they follow.
        $lines = Line::query()->with(['entries.item', 'entries.limits'])
            ->whereHas('entries', static fn ($entries) => $entries->where('class', $class)->orWhere('class', 'like', "{$class}.%")
                ->orWhereHas('item', static fn ($items) => $items->where('class', $class)->orWhere('class', 'like', "{$class}.%")))
            ->where(static fn ($any) => $any->whereNotIn('list_id', DB::table('lists')->whereNotNull('supersedes_id')->select('supersedes_id'))
                ->orWhereNotNull('design_edition_id'))->get();
        foreach ($lines as $line) {
            $asked = ListLoader::line($line);
            if ($asked->entryFor($item) !== null) {
                $title = $line->list_id === null ? null : DB::table('lists')->where('id', $line->list_id)->value('title');

                return "The line \"{$line->need}\"".(is_string($title) ? " of {$title}" : '');
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $classes
     * @param  array<string, Item>  $items
     */
    private function stoodInFor(array $classes, EntryContent $beside, array $items): ?string
    {
        $is = $beside->class ?? ($items[(string) $beside->item] ?? null)?->class->name;
        foreach ($classes as $class) {
            if ($is !== null && self::isWithin($is, $class)) {
                return $class;
            }
        }

        return null;
    }

    private static function isWithin(string $class, string $above): bool
    {
        return (new ItemClass($above))->takes(new ItemClass($class));
    }

    private static function say(string $name, string $class, bool $isByClass): string
    {
        $title = DB::table('item_classes')->where('class', $class)->value('title');
        $of = is_string($title) ? mb_strtolower($title) : $class;

        return $isByClass
            ? "This class takes {$name}, which must never be used in place of {$of}. Name a narrower class, or ask for it in a line of its own."
            : "{$name} must never be used in place of {$of}. Remove it here, or ask for it in a line of its own.";
    }
}
