<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\KitList;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Lists\Total;

/** Reads the list of a `sarcina.kit/1` document. */
final class ListReader
{
    /** @var list<Reader> where each line that could be read stands */
    private array $places = [];

    public function __construct(private readonly Reader $list)
    {
    }

    public function read(): KitList
    {
        $this->list->object(['code', 'lines'], ['excludes']);
        $excludes = array_map(static fn (Reader $class): ItemClass => new ItemClass($class->text()), $this->list->field('excludes')->entries());
        $lines = [];
        $seen = [];
        foreach ($this->list->field('lines')->entries() as $place) {
            $line = self::line($place, $seen);
            if ($line !== null) {
                $lines[] = $line;
                $this->places[] = $place;
            }
        }

        return new KitList($this->list->field('code')->text(), $lines, $excludes);
    }

    /** @param  array<string, Item>  $items  that the document gives */
    public function refuseClashes(KitList $list, array $items): void
    {
        foreach ($list->clashes($items) as $clash) {
            $this->places[$clash->line]->field($clash->isOfTotal ? 'total' : 'accepts')->refuse($clash->message);
        }
    }

    /** @param  array<string, string>  $seen  line ids given so far */
    private static function line(Reader $line, array &$seen): ?Line
    {
        if (! $line->object(['id', 'accepts'], ['quantity', 'total', 'rank', 'anyone_may_use'])->isObject()) {
            return null;
        }
        $id = $line->field('id')->textOnce($seen);
        $rank = $line->field('rank')->choice(Rank::Required);
        $anyone = $line->field('anyone_may_use')->flag(false);
        $accepts = self::accepts($line->field('accepts'));
        $isCounted = $line->field('quantity')->isGiven();
        if ($isCounted === $line->field('total')->isGiven()) {
            $line->refuse('A line asks for a quantity or for a total, one of the two.');

            return null;
        }
        if ($isCounted) {
            $quantity = $line->field('quantity')->wholeNumber(1);

            return $accepts === [] ? null : Line::counted($id, $rank, $accepts, $quantity, $anyone);
        }
        $total = self::total($line->field('total'));

        return $accepts === [] || $total === null ? null : Line::totalled($id, $rank, $accepts, $total, $anyone);
    }

    private static function total(Reader $total): ?Total
    {
        if ($total->mustBeObject() && count($total->keys()) !== 1) {
            $total->refuse('A total names one measure, such as {"length": "2.5 yd"}.');

            return null;
        }
        foreach ($total->measures() as $measure => $wanted) {
            if (! $wanted->isPositive()) {
                $total->field($measure)->refuse('A total must be above 0.');

                return null;
            }

            return new Total($measure, $wanted);
        }

        return null;
    }

    /** @return list<Accepted> what serves a line, or a need of an emergency */
    public static function accepts(Reader $accepts): array
    {
        $read = [];
        foreach ($accepts->entries(false) as $entry) {
            if (! $entry->object([], ['item', 'class', 'min', 'max'])->isObject()) {
                continue;
            }
            $namesItem = $entry->field('item')->isGiven();
            if ($namesItem === $entry->field('class')->isGiven()) {
                $entry->refuse('An entry names an item or a class, one of the two.');
            } elseif ($namesItem) {
                foreach (['min', 'max'] as $limit) {
                    if ($entry->field($limit)->isGiven()) {
                        $entry->field($limit)->refuse('Minimum and maximum measures go with a class only.');
                    }
                }
                $read[] = Accepted::item($entry->field('item')->text());
            } else {
                $read[] = Accepted::class($entry->field('class')->text(), $entry->field('min')->measures(), $entry->field('max')->measures());
            }
        }

        return $read;
    }
}
