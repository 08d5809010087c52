<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Lists\Rank;

/** From a judgement to what is to be done: the one way from findings to actions, for the page, the pick list and what is printed. */
final class Advice
{
    /** What must not stay in a kit; what expires early only where a line counts on it. */
    private const LEAVING = [
        FindingKind::Expired, FindingKind::Opened, FindingKind::Damaged, FindingKind::Soiled, FindingKind::Failed,
        FindingKind::Excluded, FindingKind::DateUnknown, FindingKind::ExpiresEarly,
    ];

    public function __construct(private readonly Judgement $judgement)
    {
    }

    /** @return list<Advised> in the order of the findings */
    public function findings(): array
    {
        $wanted = $this->piecesByLine();

        return array_map(
            static fn (Finding $finding): Advised => new Advised(
                $finding,
                match ($finding->kind) {
                    FindingKind::Short => ($wanted[$finding->line->id ?? ''] ?? 0) > 0 ? Action::Restock : Action::People,
                    FindingKind::Unpaired,
                    FindingKind::Expired,
                    FindingKind::Opened,
                    FindingKind::Damaged,
                    FindingKind::Soiled,
                    FindingKind::Failed => Action::Restock,
                    FindingKind::ExpiresEarly => $finding->severity === Severity::Note ? Action::Leave : Action::Restock,
                    FindingKind::DateUnknown => Action::Check,
                    FindingKind::Excluded, FindingKind::Overweight => Action::Remove,
                    FindingKind::BeyondScope => Action::People,
                    FindingKind::Superseded, FindingKind::Surplus => Action::Leave,
                },
            ),
            $this->judgement->findings,
        );
    }

    /** @return list<Leaving> each row once, for the first reason that is found */
    public function leaving(): array
    {
        $leaving = [];
        foreach ($this->judgement->findings as $finding) {
            if (
                $finding->index === null ||
                $finding->row === null ||
                isset($leaving[$finding->index]) ||
                ! in_array($finding->kind, self::LEAVING, true) ||
                ($finding->kind === FindingKind::ExpiresEarly && $finding->severity === Severity::Note)
            ) {
                continue;
            }
            $isGood =
                $finding->kind === FindingKind::ExpiresEarly ||
                ($finding->kind === FindingKind::Excluded && $finding->row->isGoodOn($this->judgement->assignment->asOf));
            $leaving[$finding->index] = new Leaving($finding->index, $finding->row, $finding->kind, $isGood);
        }

        return array_values($leaving);
    }

    /** @return list<Wanted> what to put in: critical lines first, then the other lines, then companions that do not come with them */
    public function wanted(): array
    {
        $lines = $this->judgement->assignment->list->lines;
        $places = [];
        foreach ($lines as $index => $line) {
            $places[$line->id] = $index;
        }
        $pieces = $this->piecesByLine();
        $wanted = [];
        $coming = [];
        foreach ($this->judgement->restock as $restock) {
            $index = $places[$restock->line];
            if ($pieces[$restock->line] > 0) {
                $wanted[] = Wanted::forLine($lines[$index], $index, $restock->item, $pieces[$restock->line], $lines[$index]->rank === Rank::Critical);
                $coming[$restock->item ?? ''] = ($coming[$restock->item ?? ''] ?? 0) + $pieces[$restock->line];
            }
        }
        usort($wanted, static fn (Wanted $one, Wanted $other): int => $other->isCritical <=> $one->isCritical);
        foreach ($this->judgement->missingCompanions as $companion) {
            $missing = $companion->less($coming);
            if ($missing > 0) {
                $wanted[] = Wanted::beside($companion, $missing);
            }
        }

        return $wanted;
    }

    /** Whether anything is to be restocked that more than informs. */
    public function wantsRestock(): bool
    {
        foreach ($this->findings() as $advised) {
            if ($advised->action === Action::Restock && $advised->finding->severity !== Severity::Note) {
                return true;
            }
        }

        return false;
    }

    /**
     * What a line is to be restocked with, less the good pieces of it that are in the kit and nobody there may use: putting in more of
     * them mends nothing.
     *
     * @return array<string, int> pieces by line
     */
    private function piecesByLine(): array
    {
        $assignment = $this->judgement->assignment;
        $beyond = self::beyondScope($assignment);
        $pieces = [];
        foreach ($this->judgement->restock as $restock) {
            $pieces[$restock->line] = max(0, $restock->quantity - ($beyond[$restock->line] ?? 0));
        }

        return $pieces;
    }

    /** @return array<string, int> good pieces beyond the kit's scope that a line accepts, by line */
    private static function beyondScope(Assignment $assignment): array
    {
        $beyond = [];
        foreach ($assignment->contents as $row) {
            $counts =
                $row->condition === Condition::Good &&
                ! $row->lacksItsDate() &&
                ! $row->isExpired($assignment->asOf) &&
                ! $assignment->list->excludes($row->item);
            if (! $counts || ! $row->item->scope->isAbove($assignment->kit->scope)) {
                continue;
            }
            foreach (array_keys($assignment->list->preferencesFor($row->item)) as $line) {
                $code = $assignment->list->lines[$line]->id;
                $beyond[$code] = ($beyond[$code] ?? 0) + $row->quantity;
            }
        }

        return $beyond;
    }
}
