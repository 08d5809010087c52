<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;
use Sarcina\Core\Lists\Rank;

/** What is found of lines, items and rows, and how grave it is (rules.md, check, `findings`). */
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

    /** A kit that was emptied: of more than half of its required lines nothing is there. */
    public function ofEmptiness(): ?Finding
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
