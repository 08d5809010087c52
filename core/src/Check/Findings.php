<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;

/** Finds what is wrong with lines, items, rows and the kit, and how grave it is (rules.md, check, findings). */
final readonly class Findings
{
    public function __construct(
        private Assignment $assignment,
        private Placement $placement,
        private Pieces $pieces,
        private Companions $companions,
    ) {
    }

    /**
     * @param  list<LineOutcome>  $lines
     * @return list<Finding>
     */
    public function ofLines(array $lines): array
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
    public function ofItems(array $missing): array
    {
        $findings = [];
        $unpaired = [];
        foreach ($missing as $companion) {
            foreach ($companion->for as $code) {
                $unpaired['.'.$code] = $code;
            }
        }
        $placed = [];
        foreach ($this->assignment->contents as $index => $row) {
            if ($this->assignment->isEffective($index)) {
                $placed['.'.$row->item->code] = ($placed['.'.$row->item->code] ?? 0) + $this->placement->takenFrom($index);
            }
        }
        $companions = $this->companions->named();
        foreach ($this->pieces->there as $key => $item) {
            if (isset($unpaired[$key])) {
                $findings[] = Finding::ofItem(FindingKind::Unpaired, $this->isAcceptedByACriticalLine($item) ? Severity::Stop : Severity::Fix, $item);
            }
            if ($this->assignment->isBeyondScope($item) && $this->assignment->linesFor($item) === []) {
                $findings[] = Finding::ofItem(FindingKind::BeyondScope, Severity::Fix, $item);
            }
            if ($item->supersededBy !== null) {
                $findings[] = Finding::ofItem(FindingKind::Superseded, Severity::Note, $item);
            }
            if (($this->pieces->effective[$key] ?? 0) > ($placed[$key] ?? 0)
                && ! isset($companions[$key])
                && ! $this->placement->isAcceptedByATotal($item)) {
                $findings[] = Finding::ofItem(FindingKind::Surplus, Severity::Note, $item);
            }
        }

        return $findings;
    }

    /** @return list<Finding> of items that a doubt names */
    public function ofDoubts(): array
    {
        $findings = [];
        $doubts = $this->assignment->doubts;
        foreach ($this->assignment->items as $item) {
            $key = '.'.$item->code;
            if (isset($doubts->reportedUsed[$key]) && $this->assignment->hasCounted($item->code)) {
                $findings[] = Finding::ofItem(FindingKind::ReportedUsed, Severity::Fix, $item);
            }
            if ($this->assignment->policy->prepared
                && in_array($item->code, $doubts->unprepared, true)
                && ($this->pieces->effective[$key] ?? 0) > 0) {
                $findings[] = Finding::ofItem(FindingKind::Unprepared, Severity::Fix, $item);
            }
        }

        return $findings;
    }

    /**
     * @param  int  $mass  grams
     * @return list<Finding> of the kit as a whole
     */
    public function ofKit(int $mass): array
    {
        $assignment = $this->assignment;
        $checked = $assignment->checked;
        $days = $assignment->policy->notReadyAfterDays;
        $isTooLate = $days !== null && $checked?->isOverdue($assignment->asOf, $days) === true;
        $found = [
            [FindingKind::Overweight, Severity::Fix, $assignment->kit->maxMass !== null && $mass > $assignment->kit->maxMass],
            [FindingKind::Repacking, Severity::Stop, $assignment->doubts->repacking],
            [FindingKind::Seal, Severity::Stop, $assignment->doubts->seal],
            [FindingKind::Unchecked, Severity::Fix, $checked !== null && $checked->lastFull === null],
            [FindingKind::Overdue, $isTooLate ? Severity::Stop : Severity::Fix, $checked?->isOverdue($assignment->asOf) === true],
            [FindingKind::Disputed, Severity::Fix, $assignment->alsoCounted !== []],
        ];
        $emptiness = $this->ofEmptiness();
        $findings = $emptiness === null ? [] : [$emptiness];
        foreach ($found as [$kind, $severity, $isFound]) {
            if ($isFound) {
                $findings[] = Finding::ofKit($kind, $severity);
            }
        }

        return $findings;
    }

    /** Finds whether more than half of the required lines are empty. */
    private function ofEmptiness(): ?Finding
    {
        $filled = [];
        foreach ($this->assignment->contents as $index => $row) {
            if ($this->assignment->isEffective($index) || $this->assignment->isReserve($index)) {
                $filled += $this->assignment->linesFor($row->item);
            }
        }
        $required = array_filter($this->assignment->list->lines, static fn (Line $line): bool => $line->rank === Rank::Required);
        $empty = count(array_diff_key($required, $filled));

        return 2 * $empty > count($required) ? Finding::ofLines($empty, count($required)) : null;
    }

    /** @return list<Finding> */
    public function ofRows(): array
    {
        $findings = [];
        foreach ($this->assignment->contents as $index => $row) {
            $condition = match ($row->condition) {
                Condition::Good => null,
                Condition::Opened => $row->isInUse() ? null : FindingKind::Opened,
                Condition::Damaged => FindingKind::Damaged,
                Condition::Soiled => FindingKind::Soiled,
                Condition::Failed => FindingKind::Failed,
                Condition::Recalled => FindingKind::Recalled,
            };
            if ($condition !== null) {
                $findings[] = Finding::ofRow($condition, Severity::Fix, $index, $row);
            } else {
                // What is in use and has no printed date is over all the same once its days after opening are.
                if ($row->isExpired($this->assignment->asOf)) {
                    $findings[] = Finding::ofRow(FindingKind::Expired, Severity::Fix, $index, $row);
                }
                if ($row->lacksItsDate()) {
                    $findings[] = Finding::ofRow(FindingKind::DateUnknown, Severity::Fix, $index, $row);
                }
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

    private function isAcceptedByACriticalLine(Item $item): bool
    {
        foreach ($this->assignment->linesFor($item) as $line => $_) {
            if ($this->assignment->list->lines[$line]->rank === Rank::Critical) {
                return true;
            }
        }

        return false;
    }
}
