<?php

declare(strict_types=1);

namespace App\Judging;

use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Lists\Rank;

/** Says the status of a kit in a sentence, with the part that it holds for. */
final class StatusSentence
{
    public static function of(Judged $judged): string
    {
        $findings = $judged->judgement->findings;
        $has = static fn (FindingKind $kind): bool => array_filter($findings, static fn (Finding $one): bool => $one->kind === $kind) !== [];
        $planned = $judged->plan->notYetAsked($judged->asOf());
        $extra = match (true) {
            $has(FindingKind::Repacking) => ' It is being repacked.',
            $has(FindingKind::Disputed) => ' Two counts disagree. Do a full check.',
            $has(FindingKind::ReportedUsed) => ' Pieces were reported used. Confirm or reject the report.',
            default => '',
        };
        $part = $judged->part === null ? '' : " This holds for {$judged->part}.";

        return self::status($judged).$part.$extra.($planned === 0 ? '' : ' Not yet covered: '.Words::number($planned, 'planned line').'.');
    }

    private static function status(Judged $judged): string
    {
        $judgement = $judged->judgement;
        $count = static fn (Severity $severity): int => count(
            array_filter($judgement->findings, static fn (Finding $finding): bool => $finding->severity === $severity),
        );
        $unmet = count(array_filter(
            $judgement->lines,
            static fn (LineOutcome $line): bool => $line->isShortAfterReserve && $line->line->rank === Rank::Required,
        ));
        $isWhole = array_filter($judgement->lines, static fn (LineOutcome $line): bool => $line->isShort) === [];
        $there = $isWhole ? 'Everything on the list is there' : 'Everything critical and required is there';

        $next = Words::date((string) $judgement->assignment->policy->nextCheck);

        return match ($judged->verdict()) {
            Verdict::Ready => "Ready. {$there}, and in date until the next check on {$next}.",
            Verdict::ReadyWithActions => 'Ready, with '.Words::number($count(Severity::Fix), 'action').' due.',
            Verdict::NoRequirement => 'No requirement set: its list asks for nothing that is critical or required.',
            Verdict::Limited => 'Limited. '.Words::number($unmet, 'required line').' cannot be met with the contents of the kit.',
            Verdict::NotChecked => 'Not checked yet. Nobody has checked this kit in full.',
            Verdict::NotReady => 'Not ready. Do not use this kit: '.Words::number($count(Severity::Stop), 'critical fault').'.',
        };
    }
}
