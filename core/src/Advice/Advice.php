<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Check\Companions;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\MissingCompanion;
use Sarcina\Core\Check\Pieces;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Lists\Rank;

/** From a judgement to what is to be done: the one way from findings to actions, for the page, the pick list and what is printed. */
final class Advice
{
    public function __construct(private readonly Judgement $judgement)
    {
    }

    /** @return list<Advised> in the order of the findings */
    public function findings(): array
    {
        $actions = new Actions($this->judgement->assignment, $this->piecesByLine());

        return array_map(static fn (Finding $finding): Advised => new Advised($finding, $actions->for($finding)), $this->judgement->findings);
    }

    /** Whether what is found so must not stay in a kit; what expires early only where a line counts on it. */
    private static function leaves(FindingKind $kind): bool
    {
        return match ($kind) {
            FindingKind::Expired, FindingKind::Opened, FindingKind::Damaged, FindingKind::Soiled, FindingKind::Failed,
            FindingKind::Recalled, FindingKind::Excluded,
            FindingKind::DateUnknown, FindingKind::ExpiresEarly => true,
            default => false,
        };
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
                ! self::leaves($finding->kind) ||
                ($finding->kind === FindingKind::ExpiresEarly && $finding->severity === Severity::Note)
            ) {
                continue;
            }
            $isGood =
                $finding->kind === FindingKind::ExpiresEarly ||
                ($finding->kind === FindingKind::Excluded && $finding->row->isGoodOn($this->judgement->assignment->asOf));
            $leaving[$finding->index] = new Leaving($finding->index, $finding->row, $finding->kind, $isGood, $finding->row->quantity);
        }

        return [...array_values($leaving), ...$this->unsafeAtHand($leaving)];
    }

    /**
     * What those who are there must not have at hand, since nobody of them may use it.
     *
     * @param  array<int, Leaving>  $leaving  rows that leave for another reason
     * @return list<Leaving>
     */
    private function unsafeAtHand(array $leaving): array
    {
        $assignment = $this->judgement->assignment;
        $beyond = [];
        foreach ($this->judgement->findings as $finding) {
            if ($finding->kind === FindingKind::BeyondScope && $finding->item?->onlyForTrained === true) {
                $beyond['.'.$finding->item->code] = true;
            }
        }
        $unsafe = [];
        foreach ($assignment->contents as $index => $row) {
            if (isset($beyond['.'.$row->item->code]) && ! isset($leaving[$index])) {
                $unsafe[] = new Leaving($index, $row, FindingKind::BeyondScope, $row->isGoodOn($assignment->asOf), $row->quantity);
            }
        }

        return $unsafe;
    }

    /** @return list<Leaving> good pieces that no line took and nothing needs beside it: they return to the store */
    public function surplus(): array
    {
        $assignment = $this->judgement->assignment;
        $items = [];
        foreach ($this->judgement->findings as $finding) {
            if ($finding->kind === FindingKind::Surplus && $finding->item !== null) {
                $items['.'.$finding->item->code] = true;
            }
        }
        $placed = [];
        foreach ($this->judgement->lines as $outcome) {
            foreach ($outcome->placed as $piece) {
                $placed[$piece->row] = ($placed[$piece->row] ?? 0) + $piece->quantity;
            }
        }
        $surplus = [];
        foreach ($assignment->contents as $index => $row) {
            $pieces = $row->quantity - ($placed[$index] ?? 0);
            if (isset($items['.'.$row->item->code]) && $pieces > 0 && $assignment->isEffective($index) && $row->isGoodOn($assignment->asOf)) {
                $surplus[] = new Leaving($index, $row, FindingKind::Surplus, true, $pieces);
            }
        }

        return $surplus;
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
        foreach ($this->judgement->restock as $restock) {
            $index = $places[$restock->line];
            if ($pieces[$restock->line] > 0) {
                $wanted[] = Wanted::forLine($lines[$index], $index, $restock->item, $pieces[$restock->line], $lines[$index]->rank === Rank::Critical);
            }
        }
        usort($wanted, static fn (Wanted $one, Wanted $other): int => $other->isCritical <=> $one->isCritical);

        $items = $this->itemsByCode();
        $pieces = $this->staying();
        foreach ($wanted as $want) {
            $item = $items['.'.$want->item] ?? null;
            $pieces = $item === null ? $pieces : $pieces->with($item, $want->pieces);
        }

        return [...$wanted, ...$this->companionsOf($pieces)];
    }

    /** What stays in the kit once all that must leave has left. */
    public function staying(): Pieces
    {
        return Pieces::of($this->judgement->assignment, array_map(static fn (Leaving $leaving): int => $leaving->index, $this->leaving()));
    }

    /**
     * The companions that pieces lack which will be in the kit, those that stay and those that are put in: so that nothing is left unpaired.
     *
     * @return list<Wanted>
     */
    public function companionsOf(Pieces $pieces): array
    {
        $items = $this->itemsByCode();
        $beside = [];
        $unknown = [];
        // Companions may need companions; items that ask for one another without end are asked once each.
        for ($round = 0; $round <= count($items); $round++) {
            $isComplete = true;
            foreach ((new Companions($pieces))->missing() as $companion) {
                $code = $this->companionToBuy($companion, $items);
                $item = $items['.'.$code] ?? null;
                if ($item !== null) {
                    $pieces = $pieces->with($item, $companion->pieces);
                    $isComplete = false;
                } elseif (isset($unknown[$code])) {
                    continue;
                } else {
                    $unknown[$code] = $code;
                }
                $beside[] = Wanted::beside($companion, $code);
            }
            if ($isComplete) {
                break;
            }
        }

        return $beside;
    }

    /** @return array<string, Item> by code with a dot before it */
    private function itemsByCode(): array
    {
        $items = [];
        foreach ($this->judgement->assignment->items as $item) {
            $items['.'.$item->code] = $item;
        }

        return $items;
    }

    /**
     * The first of the named items that may still be bought and used there; failing that, the first.
     *
     * @param  array<string, Item>  $items  by code with a dot before it
     */
    private function companionToBuy(MissingCompanion $companion, array $items): string
    {
        foreach ($companion->anyOf as $code) {
            $item = $items['.'.$code] ?? null;
            if ($item !== null && $item->supersededBy === null && $this->judgement->assignment->isUsable($item)) {
                return $code;
            }
        }

        return $companion->anyOf[0];
    }

    /** Says whether pieces are to be put in or taken out, other than for information. */
    public function wantsRestock(): bool
    {
        if ($this->leaving() !== []) {
            return true;
        }
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
            // Where the line accepts nothing that those who have the kit may use, nothing can be bought: people or the list have to change.
            $canBuy = $restock->item !== null || $restock->class !== null;
            $pieces[$restock->line] = $canBuy ? max(0, $restock->quantity - ($beyond[$restock->line] ?? 0)) : 0;
        }

        return $pieces;
    }

    /** @return array<string, int> good pieces above the kit's scope that a line accepts, by line */
    public static function beyondScope(Assignment $assignment): array
    {
        $beyond = [];
        foreach ($assignment->contents as $row) {
            $counts =
                $row->isSound() &&
                ! $row->lacksItsDate() &&
                ! $row->isExpired($assignment->asOf) &&
                ! $assignment->list->excludes($row->item);
            if (! $counts || ! $assignment->isBeyondScope($row->item)) {
                continue;
            }
            // On a line that anyone may use it counts.
            foreach (array_keys(array_diff_key($assignment->list->preferencesFor($row->item), $assignment->linesFor($row->item))) as $line) {
                $code = $assignment->list->lines[$line]->id;
                $beyond[$code] = ($beyond[$code] ?? 0) + $row->quantity;
            }
        }

        return $beyond;
    }
}
