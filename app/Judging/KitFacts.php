<?php

declare(strict_types=1);

namespace App\Judging;

use App\Catalogue\Catalogue;
use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;

/** Adds who, since when and how many to a finding that concerns the kit as a whole, or that rests on a report. */
final class KitFacts
{
    /** Pieces were moved while somebody counted. */
    public const MOVED = 'rows';

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function ofDoubtOrKit(Judged $judged, Finding $finding): CheckFinding
    {
        return match ($finding->kind) {
            FindingKind::Overweight => self::fact($finding, quantity: $judged->judgement->mass, detail: self::limit($judged->plan)),
            FindingKind::MostlyMissing => self::fact(
                $finding, quantity: $finding->empty, detail: "{$finding->required} required lines".$finding->inPart(),
            ),
            FindingKind::Repacking => self::fact(
                $finding, $judged->doubts->repack?->by, $judged->doubts->repack?->since, detail: $judged->doubts->repack?->module,
            ),
            FindingKind::Seal => self::fact($finding, null, $judged->doubts->sealDoubtedOn()),
            FindingKind::Unchecked => self::fact($finding, detail: $finding->part),
            FindingKind::Overdue => self::fact($finding, null, $judged->due()->day),
            FindingKind::Disputed => $this->disputed($judged, $finding),
            FindingKind::ReportedUsed => $this->reported($judged, $finding),
            FindingKind::Unprepared => $this->unprepared($judged, $finding),
            default => self::fact($finding),
        };
    }

    private function disputed(Judged $judged, Finding $finding): CheckFinding
    {
        $first = $judged->disagreements[0] ?? null;

        return self::fact($finding, $first?->by, $first?->since, detail: $first?->isOfRows === true ? self::MOVED : null);
    }

    private function reported(Judged $judged, Finding $finding): CheckFinding
    {
        $item = (string) $finding->item?->code;

        return self::fact(
            $finding, $this->catalogue->name($item), $judged->doubts->reportedOn(), $item, $judged->doubts->joined->reportedUsed[".{$item}"] ?? null,
        );
    }

    private function unprepared(Judged $judged, Finding $finding): CheckFinding
    {
        $item = (string) $finding->item?->code;
        $first = null;
        foreach ($judged->doubts->notStaged as $one) {
            $first ??= $one->item === $item ? $one : null;
        }

        return self::fact($finding, $first->name ?? $this->catalogue->name($item), null, $item, null, $first?->task, $first?->pocket);
    }

    /** Says the maximum weight, and that the empty bag alone exceeds it where it does. */
    private static function limit(KitPlan $plan): string
    {
        return "{$plan->maxMass} g".($plan->emptyMass > $plan->maxMass ? ". The empty bag alone weighs {$plan->emptyMass} g" : '');
    }

    private static function fact(
        Finding $finding,
        ?string $subject = null,
        ?Day $day = null,
        ?string $item = null,
        ?int $quantity = null,
        ?string $detail = null,
        ?string $pocket = null,
    ): CheckFinding {
        return new CheckFinding(
            $finding->kind->value, $finding->severity->value, null, $subject === null ? null : mb_substr($subject, 0, 160), $item, null, null,
            $day === null ? null : (string) $day, $pocket, $quantity, $detail === null ? null : mb_substr($detail, 0, 300),
        );
    }
}
