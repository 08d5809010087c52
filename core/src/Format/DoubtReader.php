<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Check\Doubts;

/** Reads the doubts of a `sarcina.kit/1` document (rules.md, check, doubts). */
final class DoubtReader
{
    /** The further keys of each kind. */
    private const KEYS = [
        'repacking' => [],
        'seal' => [],
        'fault' => ['item'],
        'reported_used' => ['item', 'quantity'],
        'unprepared' => ['item'],
    ];

    /** @var array<string, true> */
    private readonly array $items;

    /** @var array<string, true> what was told already: a kind, with its item where it has one */
    private array $told = [];

    /**
     * @param  list<string>  $items  codes of the document's items, with a dot before each
     * @param  bool  $itemsAreSound  whether all items could be read: only then is an unknown one refused
     */
    public function __construct(array $items, private readonly bool $itemsAreSound)
    {
        $this->items = array_fill_keys($items, true);
    }

    public function read(Reader $doubts): Doubts
    {
        $isTold = ['repacking' => false, 'seal' => false];
        $items = ['fault' => [], 'unprepared' => []];
        $used = [];
        foreach ($doubts->entries() as $doubt) {
            if (! $doubt->mustBeObject()) {
                continue;
            }
            $kind = $doubt->field('kind')->text();
            if (! isset(self::KEYS[$kind])) {
                $doubt->field('kind')->refuse('This must be one of '.implode(', ', array_keys(self::KEYS)).'.');

                continue;
            }
            $doubt->object(['kind', ...self::KEYS[$kind]]);
            $item = self::KEYS[$kind] === [] ? '' : $doubt->field('item')->text();
            $quantity = $kind === 'reported_used' ? $doubt->field('quantity')->wholeNumber(1) : 0;
            if (isset($this->told["{$kind}.{$item}"])) {
                $doubt->refuse($item === '' ? "The doubt \"{$kind}\" is told twice." : "The doubt \"{$kind}\" about \"{$item}\" is told twice.");
            }
            $this->told["{$kind}.{$item}"] = true;
            if (self::KEYS[$kind] === []) {
                $isTold[$kind] = true;
            } elseif (! isset($this->items['.'.$item])) {
                if ($item !== '' && $this->itemsAreSound) {
                    $doubt->field('item')->refuse("The item \"{$item}\" is not in items.");
                }
            } elseif ($kind === 'reported_used') {
                $used['.'.$item] = $quantity;
            } else {
                $items[$kind][] = $item;
            }
        }

        return new Doubts($isTold['repacking'], $isTold['seal'], $items['fault'], $used, $items['unprepared']);
    }
}
