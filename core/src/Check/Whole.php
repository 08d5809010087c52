<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Lists\Rank;

/**
 * A kit with modules in it. What the document of the whole says holds; beside it each part answers for its own lines, so that a sealed
 * module's dressing does not fill the bag's own line. That lowers the verdict, and never raises it.
 */
final class Whole
{
    /** @param  list<PartJudgement>  $parts  none: the kit has no modules */
    public static function of(Judgement $joined, array $parts): Judgement
    {
        if ($parts === []) {
            return $joined;
        }
        $verdict = $joined->verdict;
        $lines = [];
        $findings = [];
        $restock = [];
        $missing = [];
        $kits = [];
        foreach ($parts as $part) {
            $emptied = self::emptied($part);
            $own = $emptied === null ? self::verdictOfLines($part->judgement) : Verdict::NotReady;
            $kits = $emptied === null ? $kits : [...$kits, $emptied];
            $verdict = $own->isWorseThan($verdict) ? $own : $verdict;
            foreach ($part->judgement->lines as $outcome) {
                $lines[$outcome->line->id] = self::among($outcome, $part->rows);
            }
            foreach ($part->judgement->findings as $finding) {
                if ($finding->kind === FindingKind::Short && $finding->line !== null) {
                    $findings[$finding->line->id] = $finding->of($part->name);
                    if ($part->isMissing) {
                        $missing[$finding->line->id] = true;
                    }
                }
            }
            array_push($restock, ...$part->judgement->restock);
        }
        $others = [];
        foreach ($joined->findings as $finding) {
            if ($finding->kind !== FindingKind::Short || $finding->line === null) {
                $others[] = $finding;
            } elseif (! isset($missing[$finding->line->id])) {
                // What the whole lacks is no question of which part, unless that is not there at all.
                $findings[$finding->line->id] = $finding;
            }
        }

        return new Judgement(
            $joined->assignment,
            $verdict,
            $joined->mass,
            array_map(static fn (LineOutcome $outcome): LineOutcome => $lines[$outcome->line->id] ?? $outcome, $joined->lines),
            [...array_values($findings), ...$others, ...$kits],
            $restock,
            $joined->missingCompanions,
        );
    }

    /** That a part was emptied, or is not there, however full the others are. */
    private static function emptied(PartJudgement $part): ?Finding
    {
        foreach ($part->judgement->findings as $finding) {
            if ($finding->kind === FindingKind::MostlyMissing) {
                return $finding->of($part->name);
            }
        }

        return null;
    }

    /** What a part's own lines make of it, whatever else is found in it. */
    private static function verdictOfLines(Judgement $part): Verdict
    {
        $worst = Verdict::Ready;
        foreach ($part->lines as $outcome) {
            $is = match (true) {
                ! $outcome->isShort || $outcome->line->rank === Rank::Optional => Verdict::Ready,
                $outcome->line->rank === Rank::Critical => Verdict::NotReady,
                $outcome->isShortAfterReserve => Verdict::Limited,
                default => Verdict::ReadyWithActions,
            };
            $worst = $is->isWorseThan($worst) ? $is : $worst;
        }

        return $worst;
    }

    /** @param  list<int>  $rows */
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
