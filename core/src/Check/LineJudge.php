<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Total;
use Sarcina\Core\Measure\Quantity;

/** How far each line is met, and what must be added to it (rules.md, check, `lines` and `restock`). */
final class LineJudge
{
    /** @var array<string, Item> items by code with a dot before it */
    private array $items = [];

    public function __construct(
        private readonly Assignment $assignment,
        private readonly Placement $placement,
    ) {
        foreach ($assignment->items as $item) {
            $this->items['.'.$item->code] = $item;
        }
    }

    /** How far the line is met. */
    public function outcome(int $index): LineOutcome
    {
        $line = $this->assignment->list->lines[$index];
        $placed = $this->placement->onLine($index);
        if ($line->total !== null) {
            $sum = $this->sum($line->total, $placed, false);
            $short = ! $sum->isAtLeast($line->total->wanted);

            return new LineOutcome($line, $line->total->wanted, $sum, null, $line->total->wanted->lessWhatIsThere($sum), $short, $short, $placed);
        }
        $effective = 0;
        $reserve = 0;
        foreach ($placed as $pieces) {
            $pieces->reserve ? $reserve += $pieces->quantity : $effective += $pieces->quantity;
        }
        $required = $line->pieces();

        return new LineOutcome(
            $line,
            $required,
            $effective,
            $reserve,
            $required - $effective,
            $effective < $required,
            $effective + $reserve < $required,
            $placed,
        );
    }

    /** What must be added so that the line is met until the next check is over; null where nothing is. */
    public function restock(int $index): ?Restock
    {
        $line = $this->assignment->list->lines[$index];
        $placed = $this->placement->onLine($index);
        if ($line->total !== null) {
            $code = $this->itemToRestock($line, true);
            if ($code === null) {
                return null;
            }
            $item = $this->items['.'.$code];
            $piece = $line->total->pieceOf($item);
            $lacking = $line->total->wanted->lessWhatIsThere($this->sum($line->total, $placed, true));

            return $piece === null || ! $lacking->isPositive() ? null : new Restock($line->id, $item->code, null, $piece->piecesFor($lacking));
        }
        $lasting = 0;
        foreach ($placed as $pieces) {
            if (! $pieces->reserve && ! $this->assignment->expiresEarly($pieces->row)) {
                $lasting += $pieces->quantity;
            }
        }
        $lacking = $line->pieces() - $lasting;

        return $lacking === 0 ? null : new Restock($line->id, $this->itemToRestock($line, false), self::classOf($line), $lacking);
    }

    /** @param  list<Placed>  $placed */
    private function sum(Total $total, array $placed, bool $lastingOnly): Quantity
    {
        $sum = Quantity::zero($total->wanted->unit);
        foreach ($placed as $pieces) {
            $row = $this->assignment->contents[$pieces->row];
            $piece = $total->pieceOf($row->item);
            if ($piece !== null && ! ($lastingOnly && $this->assignment->expiresEarly($pieces->row))) {
                $sum = $sum->plus($piece, $pieces->quantity);
            }
        }

        return $sum;
    }

    /**
     * The first accepted item that may be bought; failing that, the first that nobody knows, or that is superseded: never one that is excluded
     * or that those who have the kit may not use (rules.md, check, `restock`).
     */
    private function itemToRestock(Line $line, bool $knownOnly): ?string
    {
        $second = null;
        foreach ($line->accepts as $accepted) {
            if ($accepted->item === null) {
                continue;
            }
            $item = $this->items['.'.$accepted->item] ?? null;
            if ($item === null) {
                $second ??= $knownOnly ? null : $accepted->item;
            } elseif ($this->assignment->isUsableOn($item, $line)) {
                if ($item->supersededBy === null) {
                    return $accepted->item;
                }
                $second ??= $accepted->item;
            }
        }

        return $second;
    }

    /** The first class that the line names. */
    private static function classOf(Line $line): ?string
    {
        foreach ($line->accepts as $accepted) {
            if ($accepted->class !== null) {
                return $accepted->class->name;
            }
        }

        return null;
    }
}
