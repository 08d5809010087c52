<?php

declare(strict_types=1);

namespace App\Judging;

use App\Ledger\Parts\CheckFinding;

/** What lowers a verdict beside the contents, in words. */
final class Overlay
{
    /** @return string|null null where the fact is a finding of the core */
    public static function say(CheckFinding $fact): ?string
    {
        return match ($fact->kind) {
            BeingBuilt::KIND => BeingBuilt::say($fact),
            Disagreement::KIND => Disagreement::say($fact),
            ReportedUse::KIND => ReportedUse::say($fact),
            NotStaged::KIND => NotStaged::say($fact),
            default => null,
        };
    }

    public static function reason(CheckFinding $fact): Reason
    {
        [$todo, $job] = match ($fact->kind) {
            BeingBuilt::KIND => ['Go on packing it, or end that.', 'build'],
            ReportedUse::KIND => ['Confirm the report, or reject it with a reason.', 'report'],
            NotStaged::KIND => ['Stage it, and say so below.', 'none'],
            default => ['Do a full check: what is counted then settles it.', 'check'],
        };

        return new Reason($fact->kind, $fact->severity, (string) self::say($fact), $todo, $job, null, $fact->itemCode, null, null);
    }

    /** @return string|null the sentence of the verdict, where one of these makes it what it is */
    public static function sentence(Judged $judged): ?string
    {
        $word = Words::word($judged->verdict());

        return match (true) {
            $judged->beingBuilt !== null => 'Not ready. Do not use this kit: it is being packed anew.',
            $judged->isLowered() => "{$word}. Two looks at this kit disagree: do a full check.",
            $judged->isLoweredByReport() => "{$word}. Pieces were reported used, and nobody has confirmed or rejected that yet.",
            $judged->isLoweredByStaging() => 'Ready, actions due: not all that is in it is staged.',
            default => null,
        };
    }
}
