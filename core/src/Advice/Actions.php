<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Line;

/** Chooses the action that solves a finding. */
final readonly class Actions
{
    /** @param  array<string, int>  $wanted  pieces to put in, by line */
    public function __construct(private Assignment $assignment, private array $wanted)
    {
    }

    public function for(Finding $finding): Action
    {
        return match ($finding->kind) {
            FindingKind::MostlyMissing, FindingKind::Unpaired => Action::Restock,
            FindingKind::Short => $this->forShortage($finding->line),
            FindingKind::Expired,
            FindingKind::Opened,
            FindingKind::Damaged,
            FindingKind::Soiled,
            FindingKind::Failed,
            FindingKind::Recalled => $this->isReplaced($finding->item) ? Action::Remove : Action::Restock,
            FindingKind::ExpiresEarly => $finding->severity === Severity::Note ? Action::Leave : Action::Restock,
            FindingKind::DateUnknown,
            FindingKind::Seal,
            FindingKind::Unchecked,
            FindingKind::Overdue,
            FindingKind::Disputed => Action::Check,
            FindingKind::Repacking => Action::Repack,
            FindingKind::ReportedUsed => Action::Report,
            FindingKind::Unprepared => Action::Prepare,
            FindingKind::Excluded, FindingKind::Overweight => Action::Remove,
            FindingKind::BeyondScope => $finding->item?->onlyForTrained === true ? Action::Remove : Action::People,
            FindingKind::Superseded, FindingKind::Surplus => Action::Leave,
        };
    }

    private function forShortage(?Line $line): Action
    {
        if ($line === null || ($this->wanted[$line->id] ?? 0) > 0) {
            return Action::Restock;
        }
        foreach ($this->assignment->items as $item) {
            if ($line->entryFor($item) !== null && ! $this->assignment->list->excludes($item)) {
                return Action::People;
            }
        }

        return Action::List;
    }

    /** Says whether no line that accepts the item wants a piece: it was replaced already. */
    private function isReplaced(?Item $item): bool
    {
        foreach ($item === null ? [] : array_keys($this->assignment->list->preferencesFor($item)) as $line) {
            if (($this->wanted[$this->assignment->list->lines[$line]->id] ?? 0) > 0) {
                return false;
            }
        }

        return true;
    }
}
