<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Accepted;
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
            $item = $this->items['.'.$this->itemToRestock($line, true)];
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

        return $lacking === 0 ? null : new Restock($line->id, $this->itemToRestock($line, false), $line->accepts[0]->class?->name, $lacking);
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

    /** The first accepted item that may still be bought; failing that, the first that is named (rules.md, check, `restock`). */
    private function itemToRestock(Line $line, bool $knownOnly): ?string
    {
        $named = array_filter(
            array_map(static fn (Accepted $accepted): ?string => $accepted->item, $line->accepts),
            fn (?string $code): bool => $code !== null && (! $knownOnly || isset($this->items['.'.$code])),
        );
        foreach ($named as $code) {
            $item = $this->items['.'.$code] ?? null;
            if ($item !== null && $item->supersededBy === null && $this->assignment->isUsable($item)) {
                return $code;
            }
        }

        return array_values($named)[0] ?? null;
    }
}
