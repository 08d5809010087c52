<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Lists\Rank;

/** The `check` rule: is this kit ready, and why not (rules.md, check). */
final class Judge
{
    public static function judge(Assignment $assignment): Judgement
    {
        $placement = Placement::of($assignment);
        $pieces = Pieces::of($assignment);
        $companions = new Companions($pieces);
        $found = new Findings($assignment, $placement, $pieces, $companions);
        $judge = new LineJudge($assignment, $placement);
        $lines = [];
        $restock = [];
        foreach (array_keys($assignment->list->lines) as $index) {
            $lines[] = $judge->outcome($index);
            $wanted = $judge->restock($index);
            if ($wanted !== null) {
                $restock[] = $wanted;
            }
        }
        $mass = $assignment->mass();
        $missing = $companions->missing();
        $findings = [...$found->ofLines($lines), ...$found->ofItems($missing), ...$found->ofRows()];
        $emptiness = $found->ofEmptiness();
        if ($emptiness !== null) {
            $findings[] = $emptiness;
        }
        if ($assignment->kit->maxMass !== null && $mass > $assignment->kit->maxMass) {
            $findings[] = Finding::ofKit(FindingKind::Overweight, Severity::Fix);
        }

        return new Judgement($assignment, self::verdict($lines, $findings), $mass, $lines, $findings, $restock, $missing);
    }

    /**
     * @param  list<LineOutcome>  $lines
     * @param  list<Finding>  $findings
     */
    private static function verdict(array $lines, array $findings): Verdict
    {
        $isThere = static fn (Severity $severity): bool => array_filter(
            $findings,
            static fn (Finding $finding): bool => $finding->severity === $severity,
        ) !== [];
        if ($isThere(Severity::Stop)) {
            return Verdict::NotReady;
        }
        foreach ($lines as $outcome) {
            if ($outcome->line->rank === Rank::Required && $outcome->isShortAfterReserve) {
                return Verdict::Limited;
            }
        }

        return $isThere(Severity::Fix) ? Verdict::ReadyWithActions : Verdict::Ready;
    }
}
