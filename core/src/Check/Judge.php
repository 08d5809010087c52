<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\CompanionsPer;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Lists\Total;
use Sarcina\Core\Measure\Quantity;

/** The `check` rule: is this kit ready, and why not (rules.md, check). */
final class Judge
{
    /** @var array<string, Item> items by code with a dot before it */
    private array $items = [];

    /** @var array<string, Item> items that are in the contents, in the order they come */
    private array $there = [];

    /** @var array<string, int> effective pieces by item */
    private array $effective = [];

    private Placement $placement;

    private function __construct(private readonly Assignment $assignment)
    {
        foreach ($assignment->items as $item) {
            $this->items['.'.$item->code] = $item;
        }
        foreach ($assignment->contents as $index => $row) {
            $key = '.'.$row->item->code;
            $this->there[$key] = $row->item;
            if ($assignment->isEffective($index)) {
                $this->effective[$key] = ($this->effective[$key] ?? 0) + $row->quantity;
            }
        }
        $this->placement = Placement::of($assignment);
    }

    public static function judge(Assignment $assignment): Judgement
    {
        return (new self($assignment))->judgement();
    }

    private function judgement(): Judgement
    {
        $lines = [];
        $restock = [];
        foreach ($this->assignment->list->lines as $index => $line) {
            $lines[] = $this->outcome($index, $line);
            $wanted = $this->restock($index, $line);
            if ($wanted !== null) {
                $restock[] = $wanted;
            }
        }
        $mass = $this->assignment->kit->emptyMass;
        foreach ($this->assignment->contents as $row) {
            $mass += $row->item->mass * $row->quantity;
        }
        $missing = $this->missingCompanions();
        $findings = [
            ...$this->shortages($lines),
            ...$this->findingsOfItems($missing),
            ...$this->findingsOfRows(),
        ];
        if ($this->assignment->kit->maxMass !== null && $mass > $this->assignment->kit->maxMass) {
            $findings[] = Finding::ofKit(FindingKind::Overweight, Severity::Fix);
        }

        return new Judgement($this->assignment, self::verdict($lines, $findings), $mass, $lines, $findings, $restock, $missing);
    }

    /**
     * @param  list<LineOutcome>  $lines
     * @param  list<Finding>  $findings
     */
    private static function verdict(array $lines, array $findings): Verdict
    {
        $severities = array_map(static fn (Finding $finding): Severity => $finding->severity, $findings);
        if (in_array(Severity::Stop, $severities, true)) {
            return Verdict::NotReady;
        }
        foreach ($lines as $outcome) {
            if ($outcome->line->rank === Rank::Required && $outcome->isShortAfterReserve) {
                return Verdict::Limited;
            }
        }

        return in_array(Severity::Fix, $severities, true) ? Verdict::ReadyWithActions : Verdict::Ready;
    }

    private function outcome(int $index, Line $line): LineOutcome
    {
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
        $required = $line->quantity ?? 0;

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

    private function restock(int $index, Line $line): ?Restock
    {
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
        $lacking = ($line->quantity ?? 0) - $lasting;

        return $lacking === 0 ? null : new Restock($line->id, $this->itemToRestock($line, false), $line->accepts[0]->class?->name, $lacking);
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

    /**
     * @param  list<LineOutcome>  $lines
     * @return list<Finding>
     */
    private function shortages(array $lines): array
    {
        $findings = [];
        foreach ($lines as $outcome) {
            if ($outcome->isShort) {
                $findings[] = Finding::ofLine(FindingKind::Short, match ($outcome->line->rank) {
                    Rank::Critical => Severity::Stop,
                    Rank::Required => Severity::Fix,
                    Rank::Optional => Severity::Note,
                }, $outcome->line);
            }
        }

        return $findings;
    }

    /**
     * @param  list<MissingCompanion>  $missing
     * @return list<Finding>
     */
    private function findingsOfItems(array $missing): array
    {
        $findings = [];
        $unpaired = [];
        foreach ($missing as $companion) {
            foreach ($companion->for as $code) {
                $unpaired['.'.$code] = true;
            }
        }
        $placed = [];
        foreach ($this->assignment->contents as $index => $row) {
            if ($this->assignment->isEffective($index)) {
                $placed['.'.$row->item->code] = ($placed['.'.$row->item->code] ?? 0) + $this->placement->takenFrom($index);
            }
        }
        $companions = $this->companions();
        foreach ($this->there as $key => $item) {
            if (isset($unpaired[$key])) {
                $findings[] = Finding::ofItem(FindingKind::Unpaired, $this->isAcceptedByACriticalLine($item) ? Severity::Stop : Severity::Fix, $item);
            }
            if ($item->scope->isAbove($this->assignment->kit->scope)) {
                $findings[] = Finding::ofItem(FindingKind::BeyondScope, Severity::Fix, $item);
            }
            if ($item->supersededBy !== null) {
                $findings[] = Finding::ofItem(FindingKind::Superseded, Severity::Note, $item);
            }
            if (($this->effective[$key] ?? 0) > ($placed[$key] ?? 0)
                && ! isset($companions[$key])
                && ! $this->placement->isAcceptedByATotal($item)) {
                $findings[] = Finding::ofItem(FindingKind::Surplus, Severity::Note, $item);
            }
        }

        return $findings;
    }

    /** @return array<string, true> items that an item with effective pieces names as companions */
    private function companions(): array
    {
        $companions = [];
        foreach ($this->effective as $key => $_) {
            foreach ($this->items[$key]->needs as $need) {
                foreach ($need->anyOf as $code) {
                    $companions['.'.$code] = true;
                }
            }
        }

        return $companions;
    }

    /** @return list<MissingCompanion> what items with effective pieces lack beside them */
    private function missingCompanions(): array
    {
        $missing = [];
        $asked = [];
        foreach ($this->effective as $key => $pieces) {
            foreach ($this->items[$key]->needs as $need) {
                $there = 0;
                foreach ($need->anyOf as $code) {
                    $there += $this->effective['.'.$code] ?? 0;
                }
                if ($need->per === CompanionsPer::Kit) {
                    if ($there < $need->quantity) {
                        $missing[] = new MissingCompanion($need->anyOf, $need->quantity - $there, [$this->items[$key]->code]);
                    }

                    continue;
                }
                $set = $need->set();
                $asked[$set] ??= ['pieces' => -$there, 'any_of' => $need->anyOf, 'by' => []];
                $asked[$set]['pieces'] += $need->quantity * $pieces;
                $asked[$set]['by'][] = $this->items[$key]->code;
            }
        }
        foreach ($asked as $set) {
            if ($set['pieces'] > 0) {
                $missing[] = new MissingCompanion($set['any_of'], $set['pieces'], $set['by']);
            }
        }

        return $missing;
    }

    private function isAcceptedByACriticalLine(Item $item): bool
    {
        foreach ($this->assignment->list->preferencesFor($item) as $line => $_) {
            if ($this->assignment->list->lines[$line]->rank === Rank::Critical) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> */
    private function findingsOfRows(): array
    {
        $findings = [];
        foreach ($this->assignment->contents as $index => $row) {
            $condition = match ($row->condition) {
                Condition::Good => null,
                Condition::Opened => FindingKind::Opened,
                Condition::Damaged => FindingKind::Damaged,
                Condition::Soiled => FindingKind::Soiled,
                Condition::Failed => FindingKind::Failed,
            };
            if ($condition !== null) {
                $findings[] = Finding::ofRow($condition, Severity::Fix, $index, $row);
            } elseif ($row->isExpired($this->assignment->asOf)) {
                $findings[] = Finding::ofRow(FindingKind::Expired, Severity::Fix, $index, $row);
            } elseif ($row->lacksItsDate()) {
                $findings[] = Finding::ofRow(FindingKind::DateUnknown, Severity::Fix, $index, $row);
            }
            if ($this->assignment->list->excludes($row->item)) {
                $findings[] = Finding::ofRow(FindingKind::Excluded, Severity::Fix, $index, $row);
            }
            if ($this->assignment->isEffective($index) && $this->assignment->expiresEarly($index)) {
                $findings[] = Finding::ofRow(
                    FindingKind::ExpiresEarly,
                    $this->placement->takenFrom($index) > 0 ? Severity::Fix : Severity::Note,
                    $index,
                    $row,
                );
            }
        }

        return $findings;
    }
}
