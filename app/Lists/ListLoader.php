<?php

declare(strict_types=1);

namespace App\Lists;

use App\Catalogue\Catalogue;
use App\Catalogue\SuitableItem;
use App\Lists\Models\KitList as KitListModel;
use App\Lists\Models\Line as LineModel;
use App\Lists\Models\LineEntry;
use LogicException;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Checked;
use Sarcina\Core\Check\Doubts;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Restock;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Total;
use Sarcina\Core\Measure\Quantity;

/** Lists by themselves, without a kit: as the core judges by them, and what a kit made to one would hold. */
final class ListLoader
{
    public function __construct(private readonly Catalogue $catalogue, private readonly SuitableItem $fitting)
    {
    }

    /** A list as the core judges by it. */
    public static function asked(KitListModel $list): KitList
    {
        return new KitList(
            $list->code, array_values($list->lines->map(static fn (LineModel $line): Line => self::line($line))->all()),
            array_values($list->exclusions->pluck('class')->map(static fn (string $class): ItemClass => new ItemClass($class))->all()),
        );
    }

    /** @param  string  $before  the module's name, where the list is one */
    public static function line(LineModel $line, string $before = ''): Line
    {
        $accepts = array_values(
            $line->entries
                ->map(
                    static fn (LineEntry $entry): Accepted => $entry->item !== null
                        ? Accepted::item($entry->item->code)
                        : Accepted::class(
                            (string) $entry->class,
                            array_map(Quantity::of(...), $entry->minima()),
                            array_map(Quantity::of(...), $entry->maxima()),
                        ),
                )
                ->all(),
        );
        if ($accepts === []) {
            throw new LogicException("The line {$line->need} accepts nothing: no list is saved so.");
        }
        $rank = $line->rank;

        return $line->total_quantity === null
            ? Line::counted($before.$line->code, $rank, $accepts, (int) $line->quantity, $line->anyone_may_use)
            : Line::totalled(
                $before.$line->code, $rank, $accepts, new Total((string) $line->total_measure, Quantity::of($line->total_quantity)),
                $line->anyone_may_use,
            );
    }

    /**
     * Judges contents against a list, as the `check` rule does.
     *
     * @param  list<Row>  $contents
     */
    public function judge(
        KitList $list, array $contents, Kit $kit, Policy $policy, Day $asOf, ?Checked $checked = null, Doubts $doubts = new Doubts,
    ): Judgement {
        $codes = array_map(static fn (Row $row): string => $row->item->code, $contents);
        foreach (array_keys($doubts->reportedUsed) as $key) {
            $codes[] = substr($key, 1);
        }
        array_push($codes, ...$doubts->unprepared);
        foreach ($list->lines as $line) {
            foreach ($line->accepts as $accepted) {
                $codes[] = $accepted->item;
            }
        }
        $items = $this->catalogue->items(array_values(array_unique(array_filter($codes, is_string(...)))));

        return Judge::judge(new Assignment($asOf, $kit, $policy, array_values($items), $list, $contents, $checked, $doubts));
    }

    /**
     * What a kit made to the list would hold: for every line the pieces of the item that the `check` rule restocks it with,
     * or, where a line names a class alone, of an item of the catalogue that fits.
     *
     * @return array{array<string, int>, int} pieces by item code, and lines that nothing in the catalogue serves
     */
    public function outfit(KitList $list): array
    {
        [$lines, $without] = $this->outfitByLine($list);
        $pieces = [];
        foreach ($lines as [, $item, $quantity]) {
            $pieces[$item] = ($pieces[$item] ?? 0) + $quantity;
        }

        return [$pieces, $without];
    }

    /**
     * Gives for each line the item and the pieces that a kit made to the list would hold for it.
     *
     * @return array{list<array{Line, string, int}>, int} lines with item code and pieces, and how many lines nothing serves
     */
    public function outfitByLine(KitList $list): array
    {
        // Nothing is in the kit that could expire, so no day matters.
        $day = Day::numbered(0);
        $judgement = $this->judge($list, [], new Kit('new', Scope::Clinician, null, 0), new Policy(ExpiryPolicy::Strict, $day, 0), $day);
        $byId = array_column($list->lines, null, 'id');
        $lines = [];
        $without = 0;
        foreach ($judgement->restock as $restock) {
            $item = $this->itemFor($judgement, $restock);
            if ($item === null) {
                $without++;
            } else {
                $lines[] = [$byId[$restock->line], $item, $restock->quantity];
            }
        }

        return [$lines, $without];
    }

    /** The item that the rule names, or one that fits the line where it names only a class. */
    public function itemFor(Judgement $judgement, Restock $restock): ?string
    {
        if ($restock->item !== null) {
            return $restock->item;
        }
        foreach ($judgement->assignment->list->lines as $line) {
            if ($line->id === $restock->line) {
                return $this->itemOn($judgement, $line);
            }
        }

        return null;
    }

    /** The item that suits a line which names none. */
    public function itemOn(Judgement $judgement, Line $line): ?string
    {
        return $this->fitting->best($line, fn (Item $item): bool => $judgement->assignment->isUsableOn($item, $line));
    }
}
