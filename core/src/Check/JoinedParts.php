<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/**
 * Joins what is told of a kit with modules: its own document, and that of each part, so that one screen shows all of it. A part's line is
 * told as its own document has it: a sealed module's dressing does not fill the bag's own line. The verdict is that of the worst of them.
 */
final class JoinedParts
{
    /** @param  list<PartJudgement>  $parts  none: the kit has no modules */
    public static function of(Judgement $joined, array $parts): Judgement
    {
        if ($parts === []) {
            return $joined;
        }
        $verdict = $joined->verdict;
        $lines = [];
        $told = self::byKey($joined->findings);
        $restock = [];
        foreach ($parts as $part) {
            $verdict = $verdict->orWorse($part->judgement->verdict);
            foreach ($part->judgement->lines as $outcome) {
                $lines[$outcome->line->id] = self::among($outcome, $part->rows);
            }
            foreach ($part->judgement->findings as $finding) {
                $finding = $finding->index === null ? $finding : $finding->at($part->rows[$finding->index]);
                $key = self::key($finding);
                $isTold = $finding->severity !== Severity::Note || $finding->kind === FindingKind::Short;
                if ($isTold && self::isNews($finding, $told[$key] ?? null, $part->isMissing)) {
                    $told[$key] = $finding->of($part->name);
                }
            }
            array_push($restock, ...$part->judgement->restock);
        }

        return new Judgement(
            $joined->assignment,
            $verdict,
            $joined->mass,
            array_map(static fn (LineOutcome $outcome): LineOutcome => $lines[$outcome->line->id] ?? $outcome, $joined->lines),
            array_values($told),
            $restock,
            $joined->missingCompanions,
            $joined->judged,
        );
    }

    /** Says whether the part's finding adds to what is told: it is graver, or a module that is not there explains it. */
    private static function isNews(Finding $finding, ?Finding $told, bool $isOfMissing): bool
    {
        return $told === null
            || $finding->severity->isGraverThan($told->severity)
            || $isOfMissing && $told->part === null && $finding->kind === FindingKind::Short;
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, Finding>
     */
    private static function byKey(array $findings): array
    {
        $byKey = [];
        foreach ($findings as $finding) {
            $byKey[self::key($finding)] = $finding;
        }

        return $byKey;
    }

    private static function key(Finding $finding): string
    {
        return "{$finding->kind->value} {$finding->index} ".($finding->line->id ?? $finding->item->code ?? '');
    }

    /** @param  array<int, int>  $rows */
    private static function among(LineOutcome $outcome, array $rows): LineOutcome
    {
        return new LineOutcome(
            $outcome->line, $outcome->required, $outcome->effective, $outcome->reserve, $outcome->short, $outcome->isShort,
            $outcome->isShortAfterReserve,
            array_map(
                static fn (Placed $placed): Placed => new Placed($rows[$placed->row], $placed->quantity, $placed->preference, $placed->reserve),
                $outcome->placed,
            ),
        );
    }
}
