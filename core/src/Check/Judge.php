<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Lists\Rank;

/** The `check` rule: is this kit ready, and why not (rules.md, check). */
final class Judge
{
    /** Evaluates each count of the kit and returns the answer for the first one with the worst verdict. */
    public static function judge(Assignment $assignment): Judgement
    {
        $worst = self::judgeCount($assignment, 0);
        foreach ($assignment->byOtherCounts() as $place => $other) {
            $judgement = self::judgeCount($other, $place + 1);
            $worst = $judgement->verdict->isWorseThan($worst->verdict) ? $judgement : $worst;
        }

        return $worst;
    }

    /**
     * Evaluates one count of the kit alone.
     *
     * @param  int  $count  0 for the contents, n for the nth other count
     */
    public static function ofCount(Assignment $assignment, int $count): Judgement
    {
        return self::judgeCount($assignment->byOtherCounts()[$count - 1] ?? $assignment, $count);
    }

    private static function judgeCount(Assignment $assignment, int $count): Judgement
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
        $findings = [...$found->ofLines($lines), ...$found->ofItems($missing), ...$found->ofDoubts(), ...$found->ofRows(), ...$found->ofKit($mass)];

        return new Judgement($assignment, self::verdict($assignment, $lines, $findings), $mass, $lines, $findings, $restock, $missing, $count);
    }

    /**
     * @param  list<LineOutcome>  $lines
     * @param  list<Finding>  $findings
     */
    private static function verdict(Assignment $assignment, array $lines, array $findings): Verdict
    {
        $isThere = static fn (Severity $severity): bool => array_filter(
            $findings,
            static fn (Finding $finding): bool => $finding->severity === $severity,
        ) !== [];
        $isLimited = array_filter(
            $lines,
            static fn (LineOutcome $outcome): bool => $outcome->line->rank === Rank::Required && $outcome->isShortAfterReserve,
        ) !== [];

        return match (true) {
            $isThere(Severity::Stop) => Verdict::NotReady,
            $assignment->checked !== null && ! $assignment->list->hasRequirement() => Verdict::NoRequirement,
            $assignment->checked !== null && $assignment->checked->lastFull === null => Verdict::NotChecked,
            $isLimited => Verdict::Limited,
            $isThere(Severity::Fix) => Verdict::ReadyWithActions,
            default => Verdict::Ready,
        };
    }
}
