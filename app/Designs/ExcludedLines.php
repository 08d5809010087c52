<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Catalogue;
use App\Designs\Edition\EditionContent;
use App\Lists\EntryContent;
use App\Lists\ListLoader;
use App\Lists\Models\KitList;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\KitList as CoreList;

/** Finds lines of a design that can never be met, because its list excludes every item that they accept. */
final class ExcludedLines
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** @return list<string> a sentence for each line */
    public function __invoke(EditionContent $content, KitList $list): array
    {
        $list->loadMissing(['lines.entries.item', 'lines.entries.limits', 'exclusions']);
        $asked = ListLoader::asked($list);
        $lines = [];
        foreach ($list->lines as $index => $line) {
            $lines["\"{$line->need}\" (line {$line->code})"] = $asked->lines[$index]->accepts;
        }
        foreach ($content->additions as $line) {
            $accepts = array_map(static fn (EntryContent $entry): Accepted => $entry->accepted(), $line->accepts);
            $lines["\"{$line->need}\" (line {$line->code})"] = $accepts;
        }
        $faults = [];
        foreach ($lines as $name => $accepts) {
            $usable = array_filter($accepts, fn (Accepted $entry): bool => ! $this->isExcluded($entry, $asked));
            if ($accepts !== [] && $usable === []) {
                $faults[] = "{$name} accepts only items that the list excludes. Remove the line, or change the list.";
            }
        }

        return $faults;
    }

    private function isExcluded(Accepted $entry, CoreList $list): bool
    {
        if ($entry->class === null) {
            $item = $this->catalogue->items([(string) $entry->item])[(string) $entry->item] ?? null;

            return $item !== null && $list->excludes($item);
        }
        foreach ([...$list->excludes, new ItemClass(ItemClass::TRAINING)] as $class) {
            if ($class->takes($entry->class)) {
                return true;
            }
        }

        return false;
    }
}
